import type { Attendant, Names } from '@locutor/core/line';
import { layOut, type Way } from '@locutor/core/paths';
import { useMemo } from 'react';
import { Printed } from '../../parts/Printed';
import { paperColours } from './colours';
import { drawingHeight, labelPx, MapDrawing, MapLabels, rowPx } from './MapDrawing';

export type Paper = 'A4' | 'Letter';

/** What is left of a sheet lying on its side, inside its margins, in mm. */
const inside: Readonly<Record<Paper, { readonly width: number; readonly height: number }>> = {
  A4: { width: 273, height: 186 },
  Letter: { width: 255, height: 191 },
};
const headMm = 10;
/** So many pixels across a sheet let the names be read at arm’s length. */
const acrossPx = 1100;
const [leftPx, endPx] = [24, 190];

/** Laid out for the paper, however far the screen is zoomed; the screen’s own drawing is hidden meanwhile. */
function layOutForPaper(ways: readonly Way[]) {
  const seconds = Math.max(1000, ...ways.map(({ endMs, menu }) => menu.at(-1)?.toMs ?? endMs)) / 1000;
  const pxPerSecond = (acrossPx - labelPx - leftPx - endPx) / seconds;
  return layOut(ways, { pxPerSecond, rowPx, leftPx, endPx });
}

interface Props {
  readonly paper: Paper;
  readonly ways: readonly Way[];
  readonly attendant: Attendant;
  readonly names: Names;
  readonly title: string;
  readonly onDone: () => void;
}

/** The map on sheets of paper, as wide as fits and on as many as it takes; opens the browser's print dialog. */
export function PrintSheets({ paper, ways, attendant, names, title, onDone }: Props) {
  const { width, height } = inside[paper];
  const layout = useMemo(() => layOutForPaper(ways), [ways]);
  const drawnPx = labelPx + layout.width;
  const mmPerPx = width / drawnPx;
  const rowsPerSheet = Math.max(4, Math.floor(((height - headMm) / mmPerPx - drawingHeight(0)) / rowPx));
  const sheets = Array.from({ length: Math.ceil(layout.rows.length / rowsPerSheet) }, (_, index) =>
    layout.rows.slice(index * rowsPerSheet, (index + 1) * rowsPerSheet),
  );
  const css = `
    #print-sheets section { break-after: page; width: ${width}mm; height: ${height}mm; overflow: hidden; }
    #print-sheets section:last-child { break-after: auto; }
  `;
  return (
    <Printed sheet={`${paper} landscape`} css={css} onDone={onDone}>
      {sheets.map((rows, index) => (
        <section key={index}>
          <div style={{ height: `${headMm}mm`, color: paperColours.ink, display: 'flex', fontSize: '11pt' }}>
            <b>{title}</b>
            <span style={{ marginLeft: 'auto' }}>
              Sheet {index + 1} of {sheets.length}
            </span>
          </div>
          <svg
            width={`${width}mm`}
            height={`${drawingHeight(rows.length) * mmPerPx}mm`}
            viewBox={`0 0 ${drawnPx} ${drawingHeight(rows.length)}`}
          >
            <g transform={`translate(${labelPx} 0)`}>
              <MapDrawing layout={layout} rows={rows} attendant={attendant} names={names} colours={paperColours} />
            </g>
            <MapLabels layout={layout} rows={rows} attendant={attendant} colours={paperColours} />
          </svg>
        </section>
      ))}
    </Printed>
  );
}
