import { isKeepable } from '@/core/base/schema/keepable';

/** Whether an address with its query is well encoded and names only what can be kept. */
export function isWellFormed(address: string): boolean {
  try {
    return isKeepable(decodeURIComponent(address.replaceAll('+', ' ')));
  } catch {
    return false;
  }
}
