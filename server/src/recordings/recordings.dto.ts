import { languages, longestWords, type Language } from '@locutor/core/line';
import { TakeUseDto } from '../greetings/greeting.dto';
import { ChoiceField, OrNull, PartField, PatternsField, TextField } from '../problems/fields';
import { placeRule } from '../takes/take.dto';

export class SetRecordingDto {
  @ChoiceField({ of: Object.keys(languages), says: 'The language must be one that menus can be in.' })
  language: Language;

  @TextField({ name: 'The text', lines: true, most: longestWords })
  words: string;

  /** Null lets the voice say it again. */
  @OrNull()
  @PartField({ of: TakeUseDto, says: 'Say which recording is heard.' })
  take: TakeUseDto | null;

  /** As JSON: what its live parts were when it was made. */
  @TextField({ name: 'What its live parts said', lines: true, least: 2, most: 40_000, optional: true })
  live?: string;
}

/** More than anybody records in one go. */
export const mostPlaces = 200;
const longestName = 80;

export class AddSessionDto {
  @TextField({ name: 'The name of the session', most: longestName })
  name: string;

  @PatternsField({ ...placeRule, most: mostPlaces })
  places: string[];
}
