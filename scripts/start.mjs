import { START } from './lib/installation.mjs';
import { runMain } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

runMain(() => serve({ kind: START, dev: false, fresh: false }));
