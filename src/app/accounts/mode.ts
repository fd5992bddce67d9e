/** Whether people sign in. Without accounts everybody works in the default workshop, as in the demo. */
export const hasAccounts = (): boolean => process.env.ACCOUNTS === 'on';

/** Whether anybody may make an account; else only who was invited. */
export const isSignUpOpen = (): boolean => process.env.SIGN_UP !== 'closed';
