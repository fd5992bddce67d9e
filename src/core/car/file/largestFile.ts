const MB = 1024 * 1024;
/** Bytes over which a build file is refused unread. */
export const LARGEST_FILE = 20 * MB;
/** Bytes of an archive, of the text in it, and of one file in it. */
export const LARGEST_ARCHIVE = 500 * MB;
export const LARGEST_TEXT = 100 * MB;
export const LARGEST_IN_ARCHIVE = 64 * MB;
/** Bytes and files of an archive of a whole workshop. */
export const LARGEST_WORKSHOP = 8 * 1024 * MB;
export const MOST_IN_WORKSHOP = 250_000;
