import { runMain } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

runMain(() => serve({ dev: false, fresh: process.argv.includes('--fresh') }));
