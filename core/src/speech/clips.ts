import { hasLiveParts, languageOf, readPieces, type Language, type RecordedTake, type VoiceId } from '../line';
import { sayPart, type SpokenFacts } from './facts';
import {
  asSentences,
  cutSentences,
  pauses,
  plainSentences,
  recordedSentence,
  splitSentences,
  type Segment,
  type Sentence,
  type Source,
} from './sentence';

/*
 * Words of which a part changes, such as hours or a name, can be recorded without it: what stays the same between the live
 * parts is a clip, recorded by itself, and the voice says what changes in between. Like any other text a clip's recording
 * belongs to its words, so it is heard in every such sentence that has them. A live part that says a name of which there is
 * a recording is heard from that.
 */

/** The live part that stands for the options, as it is written in words. */
export const optionsMark = '{options}';

/** Silence where a recording and the voice meet within a sentence, and where a comma stands there, in ms. */
const joinMs = { withinSentence: 40, atComma: 180 } as const;

/**
 * What can be recorded of words of which a part changes: all that stays, sentence by sentence, without the marks around it.
 * None of other words.
 */
export function clipsOf(words: string, language: Language): readonly string[] {
  const clips = words.split(optionsMark).flatMap((part) => (hasLiveParts(part) ? clipsIn(part, language) : []));
  return [...new Set(clips)];
}

function clipsIn(words: string, language: Language): readonly string[] {
  const segments = cutSentences(words, language, () => 'x').flatMap((sentence) => wholeWords(sentence.segments));
  return segments.flatMap(({ text, isLive }) => (isLive || bare(text) === '' ? [] : [bare(text)]));
}

/** Whether what words say is other on other days, so that one recording of all of them is seldom right. */
export function changesByTheDay(words: string): boolean {
  return readPieces(words).some(
    (piece) => piece.type === 'live' && ['today', 'opens', 'special'].includes(piece.part.type),
  );
}

/**
 * The sentences of some words in a voice. Where a part of them changes, and there are recordings of what stays, these are
 * heard with the voice in between.
 */
export function sentencesOf(words: string, voice: VoiceId, source: Source, facts: SpokenFacts): readonly Sentence[] {
  return joined(words, voice, source, facts) ?? asSentences(plainSentences(words, voice, facts), voice, source);
}

/** What is said in one go of a sentence: a recording, or words of the voice. */
interface Run {
  readonly text: string;
  readonly take?: RecordedTake;
}

function joined(words: string, voice: VoiceId, source: Source, facts: SpokenFacts): readonly Sentence[] | undefined {
  const { clipOf } = facts;
  if (!clipOf || !hasLiveParts(words)) return undefined;
  const language = languageOf(voice);
  const sentences = cutSentences(words, language, (part) => sayPart(part, facts, language)).map(
    ({ segments, pauseAfterMs }) => ({ pauseAfterMs, runs: runsOf(segments, (text) => clipOf(language, text)) }),
  );
  if (!sentences.some(({ runs }) => runs.some(({ take }) => take))) return undefined;
  return sentences.flatMap(({ runs, pauseAfterMs }) => inOneSentence(runs, voice, source, pauseAfterMs));
}

function runsOf(segments: readonly Segment[], clipOf: (text: string) => RecordedTake | undefined): readonly Run[] {
  const runs: Run[] = [];
  for (const { text } of wholeWords(segments)) {
    const words = bare(text);
    const take = words === '' ? undefined : clipOf(words);
    const last = runs.at(-1);
    if (take) runs.push({ text, take });
    else if (last && !last.take) runs[runs.length - 1] = { text: last.text + text };
    else runs.push({ text });
  }
  return runs;
}

/** What is recorded and what is spoken of one sentence, one after the other. */
function inOneSentence(
  runs: readonly Run[],
  voice: VoiceId,
  source: Source,
  pauseAfterMs: number,
): readonly Sentence[] {
  const heard = runs.map(({ text, take }, index) => {
    if (take) return [recordedSentence(take, voice, source, 0)];
    // The mark that ends what was recorded before it is none of the voice's.
    const spoken = index > 0 ? text.replace(/^[\s,.;:!?…]+/, '') : text;
    const plain = splitSentences(spoken, languageOf(voice));
    return asSentences(
      plain.map((each) => ({ text: each, pauseAfterMs: pauses.betweenSentencesMs })),
      voice,
      source,
    );
  });
  return heard.flatMap((sentences, index) => {
    const isLast = !heard.slice(index + 1).some((each) => each.length > 0);
    const isAtComma = /,\s*$/.test(runs[index]?.text ?? '') || /^\s*,/.test(runs[index + 1]?.text ?? '');
    const afterMs = isLast ? pauseAfterMs : isAtComma ? joinMs.atComma : joinMs.withinSentence;
    return sentences.map((sentence, at) =>
      at === sentences.length - 1 ? { ...sentence, pauseAfterMs: afterMs } : sentence,
    );
  });
}

/** What stands at a live part without a space, such as "’s" or a comma, is said with it. */
function wholeWords(segments: readonly Segment[]): readonly Segment[] {
  const moved = segments.map(({ text, isLive }) => ({ text, isLive }));
  moved.forEach((live, index) => {
    if (!live.isLive) return;
    const [before, after] = [moved[index - 1], moved[index + 1]];
    if (before && !before.isLive) {
      const [glued = ''] = /\S*$/.exec(before.text) ?? [];
      before.text = before.text.slice(0, before.text.length - glued.length);
      live.text = glued + live.text;
    }
    if (after && !after.isLive) {
      const [glued = ''] = /^\S*/.exec(after.text) ?? [];
      after.text = after.text.slice(glued.length);
      live.text += glued;
    }
  });
  return moved;
}

/** Words without the spaces and marks around them. */
function bare(text: string): string {
  return text.replace(/^[\s\p{P}]+|[\s\p{P}]+$/gu, '');
}
