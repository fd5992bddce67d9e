import { INSTRUMENTS_PORT } from '@/core/physics/instruments/line';

const PAGE = {
  'default-src': "'self'",
  // React and the component library set styles on elements
  'style-src': "'self' 'unsafe-inline'",
  'img-src': "'self' blob: data:",
  'media-src': "'self' blob:",
  'font-src': "'self'",
  // instruments on this machine are heard over a socket of its own
  'connect-src': `'self' ws://127.0.0.1:${INSTRUMENTS_PORT} ws://localhost:${INSTRUMENTS_PORT}`,
  'worker-src': "'self' blob:",
  'object-src': "'none'",
  'base-uri': "'none'",
  'form-action': "'self'",
  'frame-ancestors': "'none'",
} as const;

const written = (rules: Readonly<Record<string, string>>) =>
  Object.entries(rules)
    .map(([name, value]) => `${name} ${value}`)
    .join('; ');

/** What a page may load: scripts from here alone, those inside it by its nonce. Under development they are evaluated. */
export const pagePolicy = (nonce: string, development: boolean): string =>
  written({
    ...PAGE,
    'script-src': `'self' 'nonce-${nonce}'${development ? " 'unsafe-eval'" : ''}`,
    ...(development ? { 'connect-src': "'self' ws:" } : {}),
  });

/** What an answer that is no page may load: nothing. */
export const DATA_POLICY = written({ 'default-src': "'none'", 'frame-ancestors': "'none'" });

/** What a worker's own script may do: the kernels of solids and of their solver compile, and one makes functions from text. It has no document to inject into. */
export const WORKER_POLICY = written({
  'default-src': "'none'",
  'script-src': "'self' 'unsafe-eval' 'wasm-unsafe-eval'",
  'connect-src': "'self' blob: data:",
  'frame-ancestors': "'none'",
});

/** On every answer. */
export const ALWAYS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};
