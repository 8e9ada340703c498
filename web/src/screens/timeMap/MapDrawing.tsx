import type { Attendant, Names } from '@locutor/core/line';
import {
  describeEnd,
  describeStretch,
  describeTurn,
  type Block,
  type Row,
  type TimeMapLayout,
} from '@locutor/core/paths';
import { percent } from '@locutor/core/traffic';
import { memo } from 'react';
import { showLength } from '../../parts/time';
import type { MapColours } from './colours';

export const rowPx = 30;
export const labelPx = 236;
const tickPx = 24;
const blockPx = 18;

const sans = '"IBM Plex Sans", sans-serif';
const serif = '"Source Serif 4 Variable", "Source Serif 4", Georgia, serif';
const mono = '"IBM Plex Mono", monospace';

interface Props {
  readonly layout: TimeMapLayout;
  readonly attendant: Attendant;
  readonly names: Names;
  readonly colours: MapColours;
  /** Only some of the rows, as on one printed page; all when not given. */
  readonly rows?: readonly Row[];
  /** Which part of all callers goes each way; the more, the thicker it is drawn. All alike when not given. */
  readonly shares?: ReadonlyMap<number, number> | undefined;
  /** Which row is marked. */
  readonly marked?: number;
  readonly onRow?: (row: Row) => void;
}

/** The height of a drawing of so many rows, with the seconds on top. */
export const drawingHeight = (rows: number): number => rows * rowPx + tickPx;

/** The ways drawn over the seconds, without their names: plain SVG that can be shown, saved and printed. */
export const MapDrawing = memo(function MapDrawing(props: Props) {
  const { layout, colours } = props;
  const rows = props.rows ?? layout.rows;
  const top = rows[0]?.y ?? 0;
  const height = drawingHeight(rows.length);
  return (
    <g>
      {layout.ticks.map(({ x, seconds }) => (
        <g key={seconds}>
          <line x1={x} x2={x} y1={tickPx - 4} y2={height} stroke={colours.hairline} strokeWidth={1} />
          <text
            x={x}
            y={tickPx - 9}
            style={{ fontFamily: mono, fontSize: 11 }}
            fill={colours.quiet}
            textAnchor="middle"
          >
            {showLength(seconds * 1000)}
          </text>
        </g>
      ))}
      <g transform={`translate(0 ${tickPx - top})`}>
        {rows
          .filter(({ way }) => way.index === props.marked)
          .map((row) => (
            <rect key="marked" x={0} y={row.y} width={layout.width} height={rowPx} fill={colours.sunk} />
          ))}
        {rows.map(
          (row) =>
            row.from && (
              <Branch
                key={row.way.index}
                row={row}
                top={top}
                colours={colours}
                share={props.shares?.get(row.way.index)}
              />
            ),
        )}
        {rows.map((row) => (
          <RowDrawing key={row.way.index} {...props} row={row} />
        ))}
      </g>
    </g>
  );
});

interface BranchProps {
  readonly row: Row;
  readonly top: number;
  readonly colours: MapColours;
  readonly share: number | undefined;
}

/** From where a key was heard down to what it leads to; drawn under everything else. */
function Branch({ row, top, colours, share = 0 }: BranchProps) {
  if (!row.from) return null;
  const fromY = Math.max(row.from.y + rowPx / 2 + blockPx / 2, top);
  return (
    <path
      d={`M ${row.from.x} ${fromY} V ${row.y + rowPx / 2} H ${row.x}`}
      fill="none"
      stroke={colours.line}
      strokeWidth={1 + 7 * share}
    />
  );
}

function RowDrawing({ row, attendant, names, colours, shares, onRow }: Props & { row: Row }) {
  const share = shares?.get(row.way.index);
  const thick = shares ? thickness(share) : blockPx;
  const middle = row.y + rowPx / 2;
  return (
    <g onClick={onRow && (() => onRow(row))} style={onRow ? { cursor: 'pointer' } : undefined}>
      <title>{`${rowTitle(row, attendant, names)}${share === undefined ? '' : ` ${percent(share, 1)} of callers go this way.`}`}</title>
      <rect x={0} y={row.y} width={Math.max(row.endX, row.x) + 190} height={rowPx} fill="transparent" />
      {row.blocks.map((block, index) => (
        <BlockDrawing key={index} block={block} y={row.y} thick={thick} names={names} colours={colours} />
      ))}
      {row.way.end.type !== 'menu' && (
        <text
          x={Math.max(row.endX, row.x) + 6}
          y={middle + 4}
          style={{ fontFamily: sans, fontSize: 11.5 }}
          fill={colours.quiet}
        >
          {describeEnd(row.way.end, attendant, names)}
        </text>
      )}
    </g>
  );
}

interface BlockProps {
  readonly block: Block;
  readonly y: number;
  readonly thick: number;
  readonly names: Names;
  readonly colours: MapColours;
}

/** Thinner than this there is no room for words. */
const leastForWords = 14;

/** How thick a way is drawn that such a part of all callers goes; one of which nothing is known as thin as one nobody goes. */
function thickness(share = 0): number {
  return Math.round(3 + 21 * Math.sqrt(share));
}

function BlockDrawing({ block, y, thick, names, colours }: BlockProps) {
  const { type, x, stretch } = block;
  const width = Math.max(1.5, block.width);
  const top = y + (rowPx - thick) / 2;
  const look = lookOf(type, colours);
  const text = describeStretch(stretch, names);
  const room = Math.floor((width - 8) / (type === 'words' ? 5.4 : 6.2));
  return (
    <g>
      <rect
        x={x}
        y={top}
        width={width}
        height={thick}
        rx={2}
        fill={look.fill}
        stroke={look.stroke}
        strokeDasharray={look.dash}
      />
      {thick >= leastForWords && (room > 2 || (type === 'option' && width >= 9)) && (
        <text
          x={x + (type === 'option' ? Math.min(4, (width - 7) / 2) : 4)}
          y={y + rowPx / 2 + 4}
          style={{ fontFamily: type === 'words' ? serif : type === 'option' ? mono : sans, fontSize: 11.5 }}
          fill={look.text}
        >
          {type === 'option' ? keyOf(block) : shortened(text, room)}
        </text>
      )}
    </g>
  );
}

const keyOf = ({ stretch }: Block): string => (stretch.type === 'option' ? stretch.key : '');

/** Ringing is what counts: it alone is filled. Everything else is told by outline and words. */
function lookOf(type: Block['type'], colours: MapColours) {
  switch (type) {
    case 'ring':
      return { fill: colours.solid, stroke: colours.solid, text: colours.contrast, dash: undefined };
    case 'message':
      return { fill: colours.subtle, stroke: colours.solid, text: colours.ink, dash: undefined };
    case 'wait':
    case 'queue':
    case 'digits':
      return { fill: colours.paper, stroke: colours.quiet, text: colours.quiet, dash: '3 3' };
    case 'option':
      return { fill: colours.sunk, stroke: colours.quiet, text: colours.ink, dash: undefined };
    case 'words':
      return { fill: colours.paper, stroke: colours.hairline, text: colours.ink, dash: undefined };
  }
}

function shortened(text: string, room: number): string {
  return text.length <= room ? text : `${text.slice(0, Math.max(1, room - 1))}…`;
}

/** A row in words, for the pointer and for those who do not see it. */
export function rowTitle({ way }: Row, attendant: Attendant, names: Names): string {
  const when = way.personMs
    ? `, rings after ${showLength(way.personMs.soonestMs)}${way.quickPersonMs === null ? '' : ` (${showLength(way.quickPersonMs)} for those who know the keys)`}`
    : '';
  const name = describeEnd(way.end, attendant, names);
  if (way.end.type === 'menu')
    return `${describeTurn(way.turn, attendant)}: ${name} is said from ${showLength(way.endMs)} on${when}`;
  return `${describeTurn(way.turn, attendant)}: heard after ${showLength(way.fromMs)}${when}, ends after ${showLength(way.endMs)}: ${name}`;
}

/** The names of the rows, indented as deep as they are in menus. */
export function MapLabels({ layout, rows = layout.rows, attendant, colours, marked, onRow }: Omit<Props, 'names'>) {
  const top = rows[0]?.y ?? 0;
  return (
    <g>
      <text x={8} y={15} style={{ fontFamily: sans, fontSize: 11 }} fill={colours.quiet}>
        Way, and seconds until it rings
      </text>
      <g transform={`translate(0 ${tickPx - top})`}>
        {rows.map((row) => {
          const { personMs } = row.way;
          const indent = 8 + Math.min(row.depth, 8) * 12;
          const room = Math.floor((labelPx - indent - 46) / 6.4);
          return (
            <g
              key={row.way.index}
              onClick={onRow && (() => onRow(row))}
              style={onRow ? { cursor: 'pointer' } : undefined}
            >
              <rect
                x={0}
                y={row.y}
                width={labelPx}
                height={rowPx}
                fill={marked === row.way.index ? colours.sunk : colours.paper}
              />
              <text x={indent} y={row.y + 19} style={{ fontFamily: sans, fontSize: 12.5 }} fill={colours.ink}>
                {shortened(describeTurn(row.way.turn, attendant), room)}
              </text>
              <text
                x={labelPx - 8}
                y={row.y + 19}
                style={{ fontFamily: mono, fontSize: 11.5 }}
                fill={personMs ? colours.ink : colours.quiet}
                textAnchor="end"
              >
                {personMs ? showLength(personMs.soonestMs) : '–'}
              </text>
            </g>
          );
        })}
      </g>
    </g>
  );
}
