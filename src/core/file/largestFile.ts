/** Bytes over which a build file is refused unread. */
export const LARGEST_FILE = 20 * 1024 * 1024;
