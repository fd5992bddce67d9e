import { NextResponse } from 'next/server';

/** How soon a page is asked for again by itself, s. */
const AGAIN_S = 5;

/** Whether a person opens a page; what a page itself asks for has its own answers. */
export const isPageRequest = (method: string, headers: Headers): boolean =>
  method === 'GET' && headers.get('sec-fetch-dest') === 'document';

/** Stands in for every page while the database is silent, and asks again by itself. */
export const silencePage = (): NextResponse =>
  new NextResponse(PAGE, {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'cache-control': 'no-store',
      'retry-after': String(AGAIN_S),
      refresh: String(AGAIN_S),
    },
  });

const PAGE = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Lean Badger</title>
<style>body{margin:0;padding:12vh 24px;background:#F6F3EC;color:#20241F;font:16px/1.5 system-ui,sans-serif}main{max-width:34em;margin:auto}h1{font-size:24px;line-height:1.25}@media(prefers-color-scheme:dark){body{background:#161916;color:#ECE9E0}}</style></head>
<body><main><h1>The database does not answer.</h1><p>What was saved is safe. This page asks again by itself every ${AGAIN_S} seconds; if it stays silent, look at the terminal where the workshop was started.</p></main></body>
</html>`;
