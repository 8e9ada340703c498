import { findSheet } from '../../line';
import type { Rule } from '../rule';

/** The switch is on and leads to a sheet that this attendant does not have: callers would hear what answers by the hours. */
export const switchNowhere: Rule<'switchNowhere'> = {
  name: 'switchNowhere',
  grade: 'caution',
  consequence: 'wrongPlace',
  find: ({ attendant, switched }) =>
    switched?.to.type === 'sheet' && !findSheet(attendant, switched.to.sheetId) ? [{ at: { type: 'switch' } }] : [],
};
