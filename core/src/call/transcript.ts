import type { BoxId, CallerListId, GroupId, PersonId, QueueId, QueueReason } from '../directory';
import type { Answer } from '../hours';
import type { Key, LineId, SheetId } from '../line';
import type { Source } from '../speech';
import type { DirectTo, TransferTo } from './event';
import type { EndReason, NotAnswered } from './reasons';
import type { OutsideTarget, RungPhone, Target } from './target';

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
  /** The phone of a member, as 'ringing' told, that rang and was not answered: its time passed, or they declined. */
  | { readonly type: 'rang'; readonly phone: RungPhone; readonly forMs: number; readonly why: 'letRing' | 'declined' }
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
  /** By whom; null for an outside number. */
  | { readonly type: 'transferred'; readonly to: TransferTo; readonly by: PersonId | null }
  /** For how long, in ms, no PIN of this caller is tried any more, after too many wrong ones. */
  | { readonly type: 'pin'; readonly boxId: BoxId; readonly right: boolean; readonly pausedMs?: number }
  | { readonly type: 'heardMessage'; readonly messageId: string; readonly deleted: boolean }
  | { readonly type: 'greetingRecorded'; readonly name: string; readonly lengthMs: number; readonly kept: boolean }
  | { readonly type: 'handingOver'; readonly target: OutsideTarget }
  | { readonly type: 'handedOver'; readonly target: OutsideTarget }
  | { readonly type: 'recording'; readonly boxId: BoxId }
  | { readonly type: 'message'; readonly boxId: BoxId; readonly lengthMs: number; readonly kept: boolean }
  | { readonly type: 'callRecording'; readonly on: boolean }
  | { readonly type: 'ended'; readonly reason: EndReason }
);
