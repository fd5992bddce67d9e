/** Fields that several forms of accounts have. */
export const EMAIL = { name: 'email', label: 'Email', type: 'email', autoComplete: 'username' } as const;
export const NAME = {
  name: 'name',
  label: 'Your name',
  autoComplete: 'name',
  hint: 'The others in a workshop see it.',
} as const;
export const PASSWORD = {
  name: 'password',
  label: 'Password',
  type: 'password',
  autoComplete: 'current-password',
} as const;
export const NEW_PASSWORD = {
  name: 'password',
  label: 'Password',
  type: 'password',
  autoComplete: 'new-password',
  hint: 'At least 10 letters: a few words in a row are good.',
  isNew: true,
} as const;

/** A path of this workshop to go to; whatever else stands in the address is not followed. */
export const pathWithin = (asked: string | undefined): string =>
  asked !== undefined && /^\/(?![/\\])/.test(asked) ? asked : '/';

/** Opens a page anew: nothing of who was here before stays in it. */
export const openAnew = (path: string): void => window.location.assign(path);

/** Pages that this device kept for when there is no connection: they belong to who was signed in. */
export async function forgetPages(): Promise<void> {
  if ('caches' in window) await Promise.all((await caches.keys()).map((name) => caches.delete(name)));
}
