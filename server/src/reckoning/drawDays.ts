import type { ReportDay } from '@locutor/core/traffic';
import { PNG } from 'pngjs';

type Colour = readonly [number, number, number];

/** Twice as large as it is shown, for sharp screens. */
const [width, height] = [1280, 360];
const paper: Colour = [250, 247, 240];
const hairline: Colour = [221, 214, 200];
const petrol: Colour = [17, 84, 90];
const pale: Colour = [169, 204, 202];
const ink: Colour = [28, 27, 24];

/** Calls of each day as stacked bars: who was answered, who left a message or wanted nobody, who was lost. */
export function drawDays(days: readonly ReportDay[]): PNG {
  const picture = new PNG({ width, height });
  fill(picture, 0, 0, width, height, () => paper);
  const most = Math.max(1, ...days.map(({ reached, message, served, lost }) => reached + message + served + lost));
  for (let line = 0; line <= 4; line += 1)
    fill(picture, 0, Math.round((line * (height - 2)) / 4), width, 2, () => hairline);
  const step = width / Math.max(1, days.length);
  days.forEach(({ reached, message, served, lost }, index) => {
    const [left, wide] = [Math.round(index * step + step * 0.14), Math.max(2, Math.round(step * 0.72))];
    let bottom = height;
    const stack = (calls: number, colour: (x: number, y: number) => Colour): void => {
      const high = Math.round((calls / most) * (height - 8));
      fill(picture, left, bottom - high, wide, high, colour);
      bottom -= high;
    };
    stack(reached, () => petrol);
    stack(message + served, () => pale);
    stack(lost, (x, y) => ((x + y) % 12 < 5 ? ink : paper));
  });
  return picture;
}

function fill(
  { data }: PNG,
  left: number,
  top: number,
  wide: number,
  high: number,
  colourAt: (x: number, y: number) => Colour,
): void {
  for (let y = Math.max(0, top); y < Math.min(height, top + high); y += 1) {
    for (let x = Math.max(0, left); x < Math.min(width, left + wide); x += 1) {
      const [red, green, blue] = colourAt(x, y);
      data.set([red, green, blue, 255], (y * width + x) * 4);
    }
  }
}
