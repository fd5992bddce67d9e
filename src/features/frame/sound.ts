import { CalcError } from '@/core/base/errors';

/** What a build comes to; figures that refuse to be worked out count as missing, so that the page stands and says so. */
export function sound<A extends { readonly ok: boolean }>(
  work: () => A,
): A | { readonly ok: false; readonly missing: readonly string[] } {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CalcError)) console.error(error);
    return { ok: false, missing: ['figures:together'] };
  }
}
