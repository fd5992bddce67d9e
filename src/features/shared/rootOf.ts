import type { Access } from '../session/access';

/** Where the pages of a build are for whoever reads them. */
export const rootOf = (access: Pick<Access, 'shared'> | undefined, buildId: string): string =>
  access?.shared ? `/shared/${access.shared.token}` : `/builds/${buildId}`;
