import { forwardToTracker } from '@/server/tracker';

interface Params {
  readonly params: Promise<{ readonly path: readonly string[] }>;
}

/** The sensors on this gym's stacks, through this server: a tablet needs to reach nothing else. */
export async function GET(request: Request, { params }: Params): Promise<Response> {
  return forwardToTracker((await params).path, request);
}

export async function POST(request: Request, { params }: Params): Promise<Response> {
  return forwardToTracker((await params).path, request);
}
