/** Where the page under test is. */
export const address = { segment: 'drive', search: '' };
