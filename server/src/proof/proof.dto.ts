import { switchLimits } from '@locutor/core/hours';
import { TextField } from '../problems/fields';

export const longestKey = 1000;
/** Who does something, as they are called in the office. */
export const byRule = { name: 'The name of who does it', most: switchLimits.by };

export class AcceptDto {
  /** The key of the finding. */
  @TextField({ name: 'The finding', most: longestKey })
  key: string;

  @TextField({ name: 'The reason', lines: true, least: 0, most: 300 })
  reason: string;

  @TextField(byRule)
  by: string;
}
