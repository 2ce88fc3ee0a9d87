import createClient from 'openapi-fetch';
import type { paths } from './generated/schema';
import { doubtServer } from './server';

/** The typed client of this server's endpoints. */
export const api = createClient<paths>({ baseUrl: '/' });

/** A request that the server answered with a problem (RFC 9457), or did not answer. */
export class ProblemError extends Error {
  constructor(
    /** The HTTP status; 0 when the server did not answer. */
    readonly status: number,
    message: string,
    /** The first thing that is wrong, without its place. */
    readonly reason = message,
  ) {
    super(message);
  }
}

/** What is wrong, in words for a pilot: without the place in the request, which the words name themselves. */
export const reasonOf = (error: Error | null): string =>
  error instanceof ProblemError ? error.reason : (error?.message ?? '');

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of an answer; throws a {@link ProblemError} with the server's own words otherwise. */
export async function answer<T>(request: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await request.catch((reason: unknown) => {
    if (!(reason instanceof TypeError)) throw new ProblemError(0, String(reason));
    doubtServer();
    throw new ProblemError(0, 'The server does not answer.');
  });
  if (error === undefined && data !== undefined) return data;
  const { detail, errors } = (error ?? {}) as { detail?: string | null; errors?: { reason: string }[] };
  throw new ProblemError(response.status, detail ?? `The server answered ${response.status}.`, errors?.[0]?.reason);
}
