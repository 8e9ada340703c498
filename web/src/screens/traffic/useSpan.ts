import { readDate, showDate, wallTime, type DayNumber, type DayRange } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { namedSpan, spanNames, type SpanName } from '@locutor/core/traffic';
import { useDraftTools } from '../../draft/DraftProvider';
import { useNow } from '../../parts/useNow';
import { useAddress } from './useAddress';

/** What is looked at: it stands in the address, so that a page can be kept as a bookmark. */
export interface LookedAt {
  /** Null for days that were picked. */
  readonly name: SpanName | null;
  readonly span: DayRange;
  readonly today: DayNumber;
  /** Null for all lines together. */
  readonly lineId: LineId | null;
  readonly setName: (name: SpanName) => void;
  readonly setSpan: (span: DayRange) => void;
  readonly setLine: (lineId: LineId | null) => void;
}

const usual: SpanName = 'last30Days';

/** The span and the line that an address asks for; what it does not say, or says wrongly, is what is usual. */
export function useSpan(): LookedAt {
  const { line } = useDraftTools();
  const now = useNow(60_000);
  const [address, change] = useAddress();
  const today = wallTime(line.timeZone, now).day;
  const [from, to] = [readDate(address.get('from') ?? ''), readDate(address.get('to') ?? '')];
  const isPicked = from !== undefined && to !== undefined && from <= to;
  const name = isPicked ? null : (spanNames.find((each) => each === address.get('span')) ?? usual);
  const asked = address.get('line');
  return {
    name,
    span: name ? namedSpan(name, today) : { from: from ?? today, to: to ?? today },
    today,
    lineId: asked === 'all' ? null : ((asked as LineId | null) ?? line.id),
    setName: (span) => change({ span, from: null, to: null }),
    setSpan: (days) => change({ span: null, from: showDate(days.from), to: showDate(days.to) }),
    setLine: (lineId) => change({ line: lineId === line.id ? null : (lineId ?? 'all') }),
  };
}

/** The same as an address asks for it, of the server or of another page. */
export function spanAsked({ span, lineId }: Pick<LookedAt, 'span' | 'lineId'>): Readonly<Record<string, string>> {
  return { from: showDate(span.from), to: showDate(span.to), ...(lineId && { lineId }) };
}
