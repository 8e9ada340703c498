import type { Attendant, Names } from '@locutor/core/line';
import type { TimeMapLayout } from '@locutor/core/paths';
import { saveFile } from '../../parts/saveFile';
import { paperColours } from './colours';
import { drawingHeight, labelPx, MapDrawing, MapLabels } from './MapDrawing';

interface Picture {
  readonly layout: TimeMapLayout;
  readonly attendant: Attendant;
  readonly names: Names;
  readonly title: string;
  readonly shares?: ReadonlyMap<number, number> | undefined;
}

const margin = 24;
const headPx = 32;

/** The whole map as one SVG document, on white, with names and seconds. */
async function svgOf({
  layout,
  attendant,
  names,
  title,
  shares,
}: Picture): Promise<{ svg: string; width: number; height: number }> {
  const { renderToStaticMarkup } = await import('react-dom/server');
  const width = labelPx + layout.width + 2 * margin;
  const height = drawingHeight(layout.rows.length) + headPx + 2 * margin;
  const svg = renderToStaticMarkup(
    <svg xmlns="http://www.w3.org/2000/svg" width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      <title>{title}</title>
      <rect width={width} height={height} fill={paperColours.paper} />
      <g transform={`translate(${margin} ${margin})`}>
        <text y={16} fontFamily='"IBM Plex Sans", sans-serif' fontSize={16} fontWeight={600} fill={paperColours.ink}>
          {title}
        </text>
        <g transform={`translate(0 ${headPx})`}>
          <g transform={`translate(${labelPx} 0)`}>
            <MapDrawing layout={layout} attendant={attendant} names={names} colours={paperColours} shares={shares} />
          </g>
          <MapLabels layout={layout} attendant={attendant} colours={paperColours} />
        </g>
      </g>
    </svg>,
  );
  return { svg, width, height };
}

export async function saveSvg(picture: Picture): Promise<void> {
  const { svg } = await svgOf(picture);
  saveFile('time-map.svg', 'image/svg+xml', `<?xml version="1.0" encoding="UTF-8"?>\n${svg}`);
}

/** The most pixels a side of a picture may have in every browser. */
const mostPixels = 16_000;

/** @throws Error when the browser cannot make a picture of this size. */
export async function savePng(picture: Picture): Promise<void> {
  const { svg, width, height } = await svgOf(picture);
  const scale = Math.min(2, mostPixels / Math.max(width, height));
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * scale);
  canvas.height = Math.round(height * scale);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('The browser cannot make a picture of this size. Save it as SVG instead.');
  saveFile('time-map.png', 'image/png', blob);
}
