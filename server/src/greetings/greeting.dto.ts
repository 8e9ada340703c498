import { longestName } from '@locutor/core/directory';
import { isVoiceId, longestWords, takeId, type TakeId, type TakeUse, type VoiceId } from '@locutor/core/line';

import {
  CheckedField,
  OrNull,
  PartField,
  PatternField,
  RevisionField,
  TextField,
  YesNoField,
} from '../problems/fields';

const nameRule = { name: 'The name of the greeting', most: longestName };
const wordsRule = { lines: true, name: 'The greeting', most: longestWords };
const voiceRule = {
  check: isVoiceId,
  says: (): string => 'The voice must be one of those shipped, at a pace of 70 to 140 % and a pitch of -4 to 4.',
};

export class TakeUseDto implements TakeUse {
  @PatternField({ pattern: takeId.pattern, says: 'That is not the id of a recording.' })
  takeId: TakeId;

  @YesNoField({ name: 'Whether the voice speaks for now' })
  byVoice: boolean;
}

export class AddGreetingDto {
  @TextField(nameRule)
  name: string;

  @TextField(wordsRule)
  words: string;

  @CheckedField(voiceRule)
  voice: VoiceId;
}

export class ChangeGreetingDto {
  @RevisionField()
  revision: number;

  @TextField({ ...nameRule, optional: true })
  name?: string;

  @TextField({ ...wordsRule, optional: true })
  words?: string;

  @CheckedField({ ...voiceRule, optional: true })
  voice?: VoiceId;

  /** Null takes the recording off. */
  @OrNull()
  @PartField({ of: TakeUseDto, says: 'Say which take is used.', optional: true })
  take?: TakeUseDto | null;
}
