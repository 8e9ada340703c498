import type { CallScript } from '@locutor/core/call';
import type { Names, TextRecording } from '@locutor/core/line';

/** What a version referred to, as it was when it went on air: it can be looked at and called as it was. */
export interface KeptDirectory extends Pick<
  CallScript,
  'people' | 'groups' | 'queues' | 'boxes' | 'contacts' | 'callerLists' | 'hours' | 'holdMusic'
> {
  /** What everything was called. */
  readonly names: Names;
  /** The hours of the line. */
  readonly lineHours: CallScript['hours'][number];
  /** The recordings of texts; left out by versions of earlier releases. */
  readonly recordings?: readonly TextRecording[];
}
