import { DrizzleQueryError } from 'drizzle-orm';
import { refusalOfDatabase, withoutParameters } from './errors';

const failed = (code: string | undefined, message = 'refused') =>
  new DrizzleQueryError(
    'insert into runs values ($1)',
    ['a secret note'],
    Object.assign(new Error(message), code === undefined ? {} : { code }),
  );

describe('an error of the database', () => {
  // codes of the manual of PostgreSQL, appendix A
  it.each([
    ['23505', 409],
    ['23503', 404],
    ['22021', 422],
    ['22P05', 422],
    ['22003', 422],
    ['54001', 422],
    ['53100', 507],
    ['57014', 503],
    ['55P03', 503],
    ['53300', 503],
    ['40P01', 503],
    ['ECONNREFUSED', 503],
    ['57P01', 503],
    ['57P03', 503],
  ])('%s is a refusal of status %d', (code, status) =>
    expect(refusalOfDatabase(failed(code))).toMatchObject({ status }),
  );

  it('that the driver gave up is one too, and says when to come back', () => {
    for (const message of [
      'timeout exceeded when trying to connect',
      'Connection terminated unexpectedly',
      'Client has encountered a connection error and is not queryable',
      'Query read timeout',
    ])
      expect(refusalOfDatabase(new Error(message))).toMatchObject({ status: 503, retryAfterS: 5 });
  });

  it('that is a fault of the program is none', () => {
    expect(refusalOfDatabase(failed('42703'))).toBeUndefined();
    expect(refusalOfDatabase(new TypeError('x is not a function'))).toBeUndefined();
  });

  it('is written down without what anybody typed', () => {
    for (const error of [
      failed('22P02', 'invalid input syntax for type integer: "a secret note"'),
      failed(undefined),
      new DrizzleQueryError('select $1', ['a secret note']),
    ]) {
      expect(JSON.stringify(withoutParameters(error))).not.toContain('secret');
    }
    expect(withoutParameters(failed('42703', 'column does not exist'))).toEqual({
      code: '42703',
      message: 'column does not exist',
    });
  });
});
