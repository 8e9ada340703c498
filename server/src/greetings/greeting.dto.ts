import { longestName } from '@locutor/core/directory';
import { longestWords, voiceIds, type VoiceId } from '@locutor/core/line';
import { ChoiceField, RevisionField, TextField } from '../problems/fields';

const nameRule = { name: 'The name of the greeting', most: longestName };
const wordsRule = { name: 'The greeting', most: longestWords };
const voiceRule = { of: voiceIds, says: `The voice must be one of ${voiceIds.join(', ')}.` };

export class AddGreetingDto {
  @TextField(nameRule)
  name: string;

  @TextField(wordsRule)
  words: string;

  @ChoiceField(voiceRule)
  voice: VoiceId;
}

export class ChangeGreetingDto {
  @RevisionField()
  revision: number;

  @TextField({ ...nameRule, optional: true })
  name?: string;

  @TextField({ ...wordsRule, optional: true })
  words?: string;

  @ChoiceField({ ...voiceRule, optional: true })
  voice?: VoiceId;
}
