import 'server-only';
import { sharedDb } from '@/data/open-db';
import { answerApi } from './api';

/** Answer a program's call on the shared records. */
export const answerCall = (request: Request): Promise<Response> => answerApi(sharedDb(), request, Date.now());
