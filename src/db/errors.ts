import type { Problem } from '@/core/errors';

export type DoorCode = 'notFound' | 'conflict' | 'locked' | 'inUse' | 'exists' | 'tooLarge' | 'tooMany' | 'malformed' | 'unsupported' | 'tooLong' | 'busy';

const STATUS: Readonly<Record<DoorCode, number>> = { notFound: 404, conflict: 409, locked: 409, inUse: 409, exists: 409, tooLarge: 413, tooMany: 429, malformed: 400, unsupported: 415, tooLong: 422, busy: 503 };

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
}

const UNREACHABLE: readonly unknown[] = ['ECONNREFUSED', 'ENOTFOUND', '57P01', '57P03', '3D000', '28P01'];

/** Whether the database itself did not answer. */
export function isUnreachable(error: unknown): boolean {
  const { cause, code } = error as { cause?: { code?: string }; code?: string };
  return UNREACHABLE.includes(cause?.code ?? code);
}
