import type { Hurt } from '@/core/worked/print/hurtCopies';

export const HURT_WORDS: Readonly<Record<Hurt, string>> = { repaired: 'mended', damaged: 'damaged' };
