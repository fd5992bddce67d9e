/** What the server calls the error of a page whose database does not answer; its words do not leave the server. */
export const DATABASE_SILENT = 'database-silent';
