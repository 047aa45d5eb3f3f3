import createClient, { type Middleware } from 'openapi-fetch';
import { timed } from './deviceClock';
import { screenId } from '../live/screen';
import type { components, paths } from './schema';
import { writer } from './writer';

export type Schemas = components['schemas'];

/** One thing that is wrong with a request: where, and in words. */
export interface ProblemError {
  pointer: string;
  code: string;
  message: string;
  /** For files: the line, from 1. */
  line?: number;
  /** For typed quantities: what was probably meant. */
  suggestion?: string;
  /** For what cannot be laid out: the message without its cures, and the cures. */
  reason?: string;
  cures?: Schemas['CureAnswer'][];
}

/** A request that the server turned down (RFC 9457), or a server that did not answer (status 0). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: ProblemError[] = [],
  ) {
    super(message);
  }
}

/**
 * The edition of what this application sends: one more whenever an entry is written down in another form, so that a server that no
 * longer understands the former can say so. What waits on a device is sent as this edition has it, whichever wrote it down.
 */
const EDITION = 1;

const sender: Middleware = {
  onRequest({ request }) {
    const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
    if (token && request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', token);
    }
    if (request.method !== 'GET') {
      // So that the server's word of this change is known here as our own.
      request.headers.set('X-Lobrik-Screen', screenId());
      request.headers.set('X-Lobrik-Edition', String(EDITION));
      const account = writer();
      if (account !== undefined && !request.url.endsWith('/api/session')) {
        request.headers.set('X-Lobrik-Account', account);
      }
    }
    return request;
  },
};

export const api = createClient<paths>({ baseUrl: '/' });

/** A file as the body of a request: sent as it is, whatever the description of the interface takes it for. */
export function sentAsItIs(file: Blob, type = 'application/octet-stream') {
  return { body: file as never, bodySerializer: (raw: unknown) => raw as Blob, headers: { 'Content-Type': type } };
}
api.use(sender, timed);

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The body of an answer; throws a {@link Problem} for everything else. */
export async function body<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await request;
  } catch {
    throw new Problem(0, 'The server does not answer. What you entered is kept here; try again in a moment.');
  }
  if (answer.response.ok) {
    return answer.data as T;
  }
  const problem = (answer.error ?? {}) as { detail?: string; errors?: ProblemError[] };
  throw new Problem(answer.response.status, problem.detail ?? 'The server could not do this.', problem.errors ?? []);
}
