import type { Role } from '@/core/car/records/roles';

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'owner',
  editor: 'editor',
  viewer: 'viewer',
};

/** What one may do, as it follows on "may". */
export const ROLE_MAY: Readonly<Record<Role, string>> = {
  owner: 'change everything, and say who else is in',
  editor: 'change builds, runs, failures and prints',
  viewer: 'look at everything, and change nothing',
};
