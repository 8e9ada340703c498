import { prepare } from './prepare.mjs';
import { jest } from './runners.mjs';
import { runSteps } from './steps.mjs';

/**
 * All cases of all property tests, with fresh seeds; fast-check prints the seed of whatever fails. More arguments go to
 * Jest, as in `npm run test:long -- exchange`.
 */
const steps = [...prepare, jest(process.argv.slice(2), { LOCUTOR_LONG: '1' })];
process.exit((await runSteps(steps)) ? 0 : 1);
