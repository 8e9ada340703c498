import { join } from 'node:path';
import { serve } from './serve.mjs';
import { build, install, root } from './setup.mjs';

install();
build();
serve(process.env.LOCUTOR_DATA ?? join(root, 'data'), '4140');
