import { CalcError } from '@/core/base/errors';

/** What a build comes to; what refuses to be worked out counts as missing, so that the page stands and says so. */
export function sound<A extends { readonly ok: boolean }>(
  work: () => A,
): A | { readonly ok: false; readonly missing: readonly string[] } {
  try {
    return work();
  } catch (error) {
    return {
      ok: false,
      missing: [`figures that go together${error instanceof CalcError ? ` (${error.message})` : ''}`],
    };
  }
}
