import { DEMO } from './lib/installation.mjs';
import { runMain } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

runMain(() => serve({ kind: DEMO, dev: false, fresh: process.argv.includes('--fresh') }));
