import { outcomes, type Outcome } from '@locutor/core/call';
import { momentLimits } from '@locutor/core/hours';
import { boxId, contactId, groupId, personId, queueId, type BoxId } from '@locutor/core/directory';
import { idPattern } from '@locutor/core/id';
import { lineId, sheetId, type LineId, type SheetId } from '@locutor/core/line';
import { fates, ringEnds, type Fate, type RingEnd } from '@locutor/core/traffic';
import { Type } from 'class-transformer';
import { ChoiceField, PatternField, TextField, WholeField } from '../problems/fields';

const whoPattern = new RegExp(`${idPattern(personId, contactId).source}|^\\+[1-9]\\d{4,14}$`);

/** Which calls of the log are wanted; all of them when nothing is said. */
export class CallsQuery {
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.', optional: true })
  lineId?: LineId;

  @ChoiceField({ of: outcomes, says: `A call came to one of ${outcomes.join(', ')}.`, optional: true })
  outcome?: Outcome;

  /** Part of a number, of what the caller dialled or said, or of the name of somebody who was rung. */
  @TextField({ name: 'What is searched', least: 0, most: 80, optional: true })
  search?: string;

  /** In ms since 1970. */
  @Type(() => Number)
  @WholeField({ name: 'The first moment, in ms since 1970,', ...momentLimits, optional: true })
  fromMs?: number;

  @Type(() => Number)
  @WholeField({ name: 'The last moment, in ms since 1970,', ...momentLimits, optional: true })
  toMs?: number;

  @Type(() => Number)
  @WholeField({ name: 'How many to pass over', least: 0, most: 1_000_000, optional: true })
  skip?: number;

  /** The first day, by the line's clock; with it and the next only calls are found that Traffic counts. */
  @PatternField({
    pattern: /^[12]\d{3}-\d{2}-\d{2}$/,
    says: 'The first day is written as in 2026-11-24.',
    optional: true,
  })
  from?: string;

  /** The last day. */
  @PatternField({
    pattern: /^[12]\d{3}-\d{2}-\d{2}$/,
    says: 'The last day is written as in 2026-11-24.',
    optional: true,
  })
  to?: string;

  /** Monday is 1. */
  @Type(() => Number)
  @WholeField({ name: 'The day of the week', least: 1, most: 7, optional: true })
  weekday?: number;

  @Type(() => Number)
  @WholeField({ name: 'The hour of the day', least: 0, most: 23, optional: true })
  hour?: number;

  /** Somebody who was rung: of the staff, a contact, or a number. */
  @PatternField({ pattern: whoPattern, says: 'Say who was rung by their id, or by the number.', optional: true })
  who?: string;

  /** How their phone stopped to ring; only with `who`. */
  @ChoiceField({ of: ringEnds, says: `A phone stops to ring in one of ${ringEnds.join(', ')}.`, optional: true })
  ringEnd?: RingEnd;

  /** A group that was rung, or a queue that was waited in. */
  @PatternField({ pattern: idPattern(groupId, queueId), says: 'Say which by its id.', optional: true })
  through?: string;

  /** A sheet that the caller came to. */
  @PatternField({ pattern: sheetId.pattern, says: 'That is not the id of a sheet.', optional: true })
  sheetId?: SheetId;

  /** What they did there: a key, or as `heard`. */
  @PatternField({
    pattern: /^([0-9*#]|[a-zA-Z]{4,12})$/,
    says: 'That is nothing that is done in a sheet.',
    optional: true,
  })
  choice?: string;

  /** Whether that was the first sheet they came to. */
  @ChoiceField({ of: ['yes'], says: 'Say yes, or leave it out.', optional: true })
  first?: 'yes';

  /** The box in which a message of the call is. */
  @PatternField({ pattern: boxId.pattern, says: 'That is not the id of a box.', optional: true })
  boxId?: BoxId;

  @ChoiceField({ of: fates, says: `What became of callers is one of ${fates.join(', ')}.`, optional: true })
  fate?: Fate;

  /** Answered later than so many s after the line picked up. */
  @Type(() => Number)
  @WholeField({ name: 'After how many seconds', least: 0, most: 86_400, optional: true })
  afterS?: number;

  /** Answered within so many s. */
  @Type(() => Number)
  @WholeField({ name: 'Within how many seconds', least: 1, most: 86_400, optional: true })
  untilS?: number;
}
