const MB = 1024 * 1024;
/** Bytes over which a build file is refused unread. */
export const LARGEST_FILE = 20 * MB;
/** Bytes of an archive, of the text in it, and of one file in it. */
export const LARGEST_ARCHIVE = 500 * MB;
export const LARGEST_TEXT = 100 * MB;
export const LARGEST_IN_ARCHIVE = 64 * MB;
