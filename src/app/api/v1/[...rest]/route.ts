import { answerCall } from '@/server/answer-call';

/** What programs ask with a token: see /api/v1/openapi.json. */
export const GET = answerCall;
export const POST = answerCall;
export const PUT = answerCall;
export const PATCH = answerCall;
export const DELETE = answerCall;
