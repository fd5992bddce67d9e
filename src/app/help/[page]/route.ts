import { readdirSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';

const FOLDER = resolve('docs', 'help');
/** Pages of the help by their names; the overview of the folder is none. */
const names = () =>
  readdirSync(FOLDER)
    .filter((name) => /^[a-z]+\.md$/.test(name))
    .map((name) => name.replace(/\.md$/, ''));

export const dynamic = 'force-static';
export const dynamicParams = false;
export const generateStaticParams = () => names().map((page) => ({ page }));

/** A page of the help as it stands in the documents. */
export async function GET(_: Request, { params }: { params: Promise<{ page: string }> }): Promise<Response> {
  const { page } = await params;
  return new Response(await readFile(join(FOLDER, `${page}.md`), 'utf8'), {
    headers: { 'content-type': 'text/markdown; charset=utf-8' },
  });
}
