import { runMain } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

runMain(() => serve({ dev: true, fresh: process.argv.includes('--fresh') }));
