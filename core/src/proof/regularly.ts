import type { Hours } from '../hours';
import { rememberBy } from './remember';

/** Hours as they would be if there were no special dates. */
export const regularly = rememberBy((hours: Hours): Hours => ({ ...hours, special: [] }));
