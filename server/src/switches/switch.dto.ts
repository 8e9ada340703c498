import { momentLimits, periodId, switchLimits } from '@locutor/core/hours';
import { sheetId } from '@locutor/core/line';

import { ValidateIf } from 'class-validator';
import { ChoiceField, OrNull, PartField, PatternField, TextField, WholeField } from '../problems/fields';

class SwitchToDto {
  @ChoiceField({ of: ['open', 'closed', 'sheet'], says: 'Choose open, closed or another sheet.' })
  type: 'open' | 'closed' | 'sheet';

  @ValidateIf(({ type }: SwitchToDto) => type === 'open')
  @PatternField({ pattern: periodId.pattern, says: 'Choose the period whose answer is meant.' })
  periodId?: string;

  @ValidateIf(({ type }: SwitchToDto) => type === 'sheet')
  @PatternField({ pattern: sheetId.pattern, says: 'Choose the sheet that answers.' })
  sheetId?: string;
}

const byRule = { name: 'The name of who does it', most: switchLimits.by };

export class SetSwitchDto {
  @PartField({ of: SwitchToDto, says: 'Choose what answers.' })
  to: SwitchToDto;

  @WholeField({ name: 'When it ends, in ms since 1970,', ...momentLimits })
  untilMs: number;

  @TextField({ name: 'What callers hear', lines: true, least: 0, most: switchLimits.words })
  words: string;

  @TextField(byRule)
  by: string;

  /** The switch that was seen to be on and is to be replaced; null for none. */
  @OrNull()
  @WholeField({ name: 'The switch that was on', least: 1, most: Number.MAX_SAFE_INTEGER })
  replaces: number | null;
}

export class EndSwitchDto {
  @TextField(byRule)
  by: string;
}
