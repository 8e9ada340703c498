import type { BoxId, CallerListId, GroupId, PersonId, QueueId, QueueReason } from '../directory';
import type { Answer } from '../hours';
import type { Key, LineId, SheetId } from '../line';
import type { Source } from '../speech';
import type { CallEffect, RungPhone } from './effect';
import type { DirectTo, TransferTo } from './event';
import type { OutsideTarget, Target } from './state';

/** Why a call was over. */
export type EndReason =
  | 'callerHungUp'
  | 'staffHungUp'
  | 'hungUp'
  | 'messageTaken'
  /** Handed over to an outside number for good. */
  | 'handedOver'
  /** The caller is in a blocked list. */
  | 'blocked'
  /** The path had no further step. */
  | 'pathRanOut'
  /** The caller was sent from sheet to sheet for ever. */
  | 'circle'
  | 'longestCall'
  /** Somebody in the office had heard their messages. */
  | 'boxHeard'
  | 'wrongPin'
  /** A greeting was recorded with a desk phone, or was not kept. */
  | 'recorderDone'
  /** The line went down with the call on it. */
  | 'cut';

/** Why somebody did not answer. */
export type NotAnswered =
  | 'noAnswer'
  | 'busy'
  /** They said that they are away. */
  | 'away'
  /** A group without members. */
  | 'nobody'
  | 'deleted'
  /** Not in the hours they keep. */
  | 'notWorking'
  /** Nobody pressed 1: the outside phone's own voicemail, most likely. */
  | 'notAccepted'
  | 'notANumber'
  /** The outside number is the line's own. */
  | 'ownNumber'
  | 'outOfService';

/** What happened in a call, as data; each with the instant in ms since 1970 on the call's clock. */
export type TranscriptEntry = { readonly atMs: number } & (
  | { readonly type: 'called'; readonly callerNumber: string; readonly lineId: LineId; readonly answer: Answer }
  | { readonly type: 'calledDirectly'; readonly callerNumber: string; readonly lineId: LineId; readonly to: DirectTo }
  | { readonly type: 'blocked'; readonly callerNumber: string; readonly callerListId: CallerListId }
  | { readonly type: 'line'; readonly lineId: LineId; readonly answer: Answer }
  | { readonly type: 'sheet'; readonly sheetId: SheetId }
  | { readonly type: 'said'; readonly text: string; readonly source: Source }
  | { readonly type: 'key'; readonly key: Key; readonly use: 'option' | 'wrong' | 'ignored' | 'digit' }
  | { readonly type: 'spoke'; readonly words: string; readonly understood: boolean }
  | {
      readonly type: 'dialledExtension';
      readonly digits: string;
      readonly to: PersonId | GroupId | QueueId | null;
    }
  | { readonly type: 'spelled'; readonly digits: string; readonly matches: readonly PersonId[] }
  | { readonly type: 'silence'; readonly sheetId: SheetId; readonly round: number }
  | { readonly type: 'ringing'; readonly phone: RungPhone; readonly forMs: number | null }
  | { readonly type: 'askedToAccept'; readonly phone: RungPhone }
  | { readonly type: 'answered'; readonly phone: RungPhone }
  | { readonly type: 'ringingGroup'; readonly groupId: GroupId }
  | {
      readonly type: 'notAnswered';
      readonly target: Target | { readonly type: 'group'; readonly groupId: GroupId };
      readonly why: NotAnswered;
    }
  | { readonly type: 'queued'; readonly queueId: QueueId }
  | { readonly type: 'place'; readonly place: number; readonly expectedWaitMs: number }
  | {
      readonly type: 'leftQueue';
      readonly queueId: QueueId;
      readonly why: QueueReason | 'answered' | 'hungUp';
      readonly waitedMs: number;
    }
  | { readonly type: 'held'; readonly on: boolean }
  | { readonly type: 'transferred'; readonly to: TransferTo }
  | { readonly type: 'pin'; readonly boxId: BoxId; readonly right: boolean }
  | { readonly type: 'heardMessage'; readonly messageId: string; readonly deleted: boolean }
  | { readonly type: 'greetingRecorded'; readonly name: string; readonly lengthMs: number; readonly kept: boolean }
  | { readonly type: 'handedOver'; readonly target: OutsideTarget }
  | { readonly type: 'recording'; readonly boxId: BoxId }
  | { readonly type: 'message'; readonly boxId: BoxId; readonly lengthMs: number; readonly kept: boolean }
  | { readonly type: 'callRecording'; readonly on: boolean }
  | { readonly type: 'ended'; readonly reason: EndReason }
);

/** The lines of the transcript that the effects of one step make: what is said, and what is noted. */
export function transcriptOf(effects: readonly CallEffect[], atMs: number): readonly TranscriptEntry[] {
  return effects.flatMap((effect): readonly TranscriptEntry[] => {
    if (effect.type === 'note') return [effect.entry];
    if (effect.type !== 'play') return [];
    return effect.items.flatMap((item): TranscriptEntry[] =>
      item.type === 'sentence' ? [{ type: 'said', atMs, text: item.sentence.text, source: item.sentence.source }] : [],
    );
  });
}
