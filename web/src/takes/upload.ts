import type { PolishStage, Recipe } from '@locutor/core/audio';
import type { PersonId } from '@locutor/core/directory';
import type { TakeSays } from '@locutor/core/line';
import { askInStages, StagesProblem, type Work } from '../api/stages';
import { takesPath, type KeptTake } from './useTakes';

/** What is brought: a file or a recording, what it is of, and what it says. */
export interface Bringing {
  readonly file: Blob;
  readonly fileName: string;
  readonly source: 'microphone' | 'file';
  readonly place: string;
  readonly text: string;
  readonly says: TakeSays;
  /** What is done to it, where that is not what is done to speech. */
  readonly recipe?: Recipe;
  /** That one has the right to play it, for music. */
  readonly rights?: 'yes';
  /** Which law bare telephone sound is in, once that was answered. */
  readonly law?: 'mu' | 'a';
}

/** Whether the server wants to know in which law bare telephone sound is. */
export const asksLaw = (error: unknown): boolean =>
  error instanceof StagesProblem && error.kind.endsWith('sound-whichLaw');

/** Sends a file or recording to be taken in; stages of the work are told as they come. */
export function bringTake(bringing: Bringing, tell: (stage: PolishStage | 'sending') => void): Work<KeptTake> {
  const form = new FormData();
  const { file, fileName, source, place, text, says, law, recipe, rights } = bringing;
  const fields = { source, place, text, says: JSON.stringify(says), fileName: source === 'file' ? fileName : '' };
  const more = { ...(law && { law }), ...(rights && { rights }), ...(recipe && { recipe: JSON.stringify(recipe) }) };
  for (const [name, value] of Object.entries({ ...fields, ...more })) form.append(name, value);
  form.append('audio', file, fileName);
  tell('sending');
  return askInStages(takesPath, form, tell);
}

/** How far a recording with a desk phone is; `kept` once for each that is. */
export type PhoneStage = 'ringing' | 'instructing' | 'recording' | 'finishing' | 'asking' | 'kept';

/** Something that is recorded with a desk phone. */
export type SpokenOnPhone = Pick<Bringing, 'place' | 'text' | 'says'> & { readonly name: string };

/** Rings somebody's desk phone, on which it is spoken and kept; and after it whatever else there is. */
export function takeByPhone(
  [first, ...more]: readonly [SpokenOnPhone, ...SpokenOnPhone[]],
  personId: PersonId,
  tell: (stage: PhoneStage) => void,
): Work<KeptTake> {
  const sent = ({ says, ...of }: SpokenOnPhone): object => ({ ...of, says: JSON.stringify(says) });
  const body = { ...sent(first), personId, ...(more.length > 0 && { more: more.map(sent) }) };
  return askInStages('/api/phone-takes', JSON.stringify(body), tell);
}

/** Makes a take good by another recipe. */
export function polishTake(id: string, recipe: Recipe, tell: (stage: PolishStage) => void): Work<KeptTake> {
  return askInStages(`${takesPath}/${id}/polish`, JSON.stringify({ recipe: JSON.stringify(recipe) }), tell);
}

export type { Work };
