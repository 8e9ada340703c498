import { checks } from './checks.mjs';
import { prepare } from './prepare.mjs';
import { jest, playwright } from './runners.mjs';
import { runSteps } from './steps.mjs';

/** Everything, set-up included. What of it can be done side by side is; docs/testing.md tells how long it takes. */
const steps = [...prepare, ...checks, jest(), playwright()];
process.exit((await runSteps(steps)) ? 0 : 1);
