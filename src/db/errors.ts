import type { Problem } from '@/core/base/errors';

export type DoorCode =
  | 'signIn'
  | 'credentials'
  | 'mayNot'
  | 'homeless'
  | 'expired'
  | 'notFound'
  | 'conflict'
  | 'locked'
  | 'inUse'
  | 'exists'
  | 'tooLarge'
  | 'tooMany'
  | 'malformed'
  | 'unsupported'
  | 'tooLong'
  | 'busy'
  | 'database'
  | 'full'
  | 'invalid';

const STATUS: Readonly<Record<DoorCode, number>> = {
  signIn: 401,
  credentials: 401,
  mayNot: 403,
  homeless: 404,
  expired: 410,
  notFound: 404,
  conflict: 409,
  locked: 409,
  inUse: 409,
  exists: 409,
  tooLarge: 413,
  tooMany: 429,
  malformed: 400,
  unsupported: 415,
  tooLong: 422,
  busy: 503,
  database: 503,
  full: 507,
  invalid: 422,
};

/** Refusals after which the same may be tried again, with how long to wait, s. */
const RETRY_AFTER_S: Partial<Record<DoorCode, number>> = { busy: 5, database: 5, tooMany: 60 };

/** Refusal of a request for a reason other than the shape of its input. */
export class DoorError extends Error {
  constructor(
    readonly code: DoorCode,
    message: string,
    readonly more: Partial<Problem> & { current?: unknown; usedBy?: string[] } = {},
  ) {
    super(message);
  }

  get status(): number {
    return STATUS[this.code];
  }

  get retryAfterS(): number | undefined {
    return RETRY_AFTER_S[this.code];
  }
}

interface DatabaseError {
  code?: string;
  message?: string;
  constraint?: string;
}

/** What the driver itself said: the query layer puts its own error, with all parameters in its text, around it. */
const saidBy = (error: unknown): DatabaseError =>
  (error as { cause?: DatabaseError }).cause ?? (error as DatabaseError);

const UNREACHABLE: readonly unknown[] = [
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOTFOUND',
  'EPIPE',
  '57P01',
  '57P02',
  '57P03',
  '3D000',
  '28P01',
  '08006',
  '08001',
  '08003',
];
const OCCUPIED: readonly unknown[] = ['57014', '55P03', '53300', '40001', '40P01', '25P03'];
/** The driver gives no code to what it gives up itself. */
const GIVEN_UP =
  /timeout exceeded when trying to connect|connection terminated|connection error|query read timeout/i;

/** Whether the database itself did not answer. */
export function isUnreachable(error: unknown): boolean {
  const { code, message } = saidBy(error);
  return UNREACHABLE.includes(code) || (code === undefined && GIVEN_UP.test(message ?? ''));
}

/** What an error of the database means for who asked; nothing where it is a fault of the program. */
export function refusalOfDatabase(error: unknown): DoorError | undefined {
  const { code = '' } = saidBy(error);
  if (code === '23505')
    return new DoorError('exists', 'An id in it belongs to something else in this workshop.', {
      remedy: 'bring it in as a copy',
    });
  if (code === '23503')
    return new DoorError('notFound', 'It names something that is not in this workshop any more.', {
      remedy: 'load the page again; what you typed stays',
    });
  if (/^(22|54)...$/.test(code))
    return new DoorError('invalid', 'It holds a text or a figure that cannot be kept.', {
      remedy: 'look for odd characters and for figures without sense',
    });
  if (code === '53100')
    return new DoorError(
      'full',
      'The disk of the database is full. What was saved before is safe, and what you typed stays on this page.',
      { remedy: 'make room on the disk and save again' },
    );
  if (OCCUPIED.includes(code))
    return new DoorError('busy', 'The database is busy. What you typed stays on this page.', {
      remedy: 'try again in a moment',
    });
  if (isUnreachable(error))
    return new DoorError('database', 'The database does not answer. What you typed stays on this page.', {
      remedy: 'start it and try again',
    });
  return undefined;
}

/** An error as it may be written down: without what anybody typed. */
export function withoutParameters(error: unknown): { message: string; code?: string; constraint?: string } {
  const { message = '', code, constraint } = saidBy(error);
  return {
    message: message.split('\nparams:')[0]!.replace(/"[^"]*"/g, '"…"'),
    ...(code === undefined ? {} : { code }),
    ...(constraint === undefined ? {} : { constraint }),
  };
}
