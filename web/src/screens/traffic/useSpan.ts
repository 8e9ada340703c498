import { readDate, showDate, wallTime, type DayNumber, type DayRange } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { namedSpan, spanNames, type SavedSpan, type SpanName } from '@locutor/core/traffic';
import { useVersions } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { useNow } from '../../parts/useNow';
import { useAddress } from './useAddress';

/** How a span of days is meant: by a name, by two dates, or since a version went on air. */
export type SpanChoice =
  { readonly span: SpanName } | { readonly from: string; readonly to: string } | { readonly since: string };

/** What is looked at: it stands in the address, so that a page can be kept as a bookmark. */
export interface LookedAt {
  readonly choice: SpanChoice;
  readonly span: DayRange;
  readonly today: DayNumber;
  /** Null for all lines together. */
  readonly lineId: LineId | null;
  readonly choose: (choice: SpanChoice) => void;
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
  const sinceDay = useSinceDay(address.get('since'), line);
  const [from, to] = [readDate(address.get('from') ?? ''), readDate(address.get('to') ?? '')];
  const asked = address.get('line');
  const { choice, span } = ((): Pick<LookedAt, 'choice' | 'span'> => {
    const since = address.get('since');
    if (since !== null && sinceDay !== undefined) {
      return { choice: { since }, span: { from: Math.min(sinceDay, today), to: today } };
    }
    if (from !== undefined && to !== undefined && from <= to) {
      return { choice: { from: showDate(from), to: showDate(to) }, span: { from, to } };
    }
    const name = spanNames.find((each) => each === address.get('span')) ?? usual;
    return { choice: { span: name }, span: namedSpan(name, today) };
  })();
  return {
    choice,
    span,
    today,
    lineId: asked === 'all' ? null : ((asked as LineId | null) ?? line.id),
    choose: (chosen) => change({ span: null, from: null, to: null, since: null, ...chosen }),
    setSpan: (days) => change({ span: null, since: null, from: showDate(days.from), to: showDate(days.to) }),
    setLine: (lineId) => change({ line: lineId === line.id ? null : (lineId ?? 'all') }),
  };
}

/** The day on which a version of the line first went on air; undefined where there is none such. */
function useSinceDay(id: string | null, { id: lineId, timeZone }: { readonly id: LineId; readonly timeZone: string }) {
  const { data: versions } = useVersions(lineId);
  const airings = versions?.find((version) => version.id === id)?.airings;
  const firstAt = airings?.at(-1)?.at;
  return firstAt === undefined ? undefined : wallTime(timeZone, firstAt).day;
}

/** The span of one that was kept by a name. */
export function choiceOf(saved: SavedSpan): SpanChoice {
  if ('span' in saved) return { span: saved.span };
  return 'since' in saved ? { since: saved.since } : { from: saved.from, to: saved.to };
}

/** The same as an address asks for it, of the server or of another page. */
export function spanAsked({ span, lineId }: Pick<LookedAt, 'span' | 'lineId'>): Readonly<Record<string, string>> {
  return { from: showDate(span.from), to: showDate(span.to), ...(lineId && { lineId }) };
}
