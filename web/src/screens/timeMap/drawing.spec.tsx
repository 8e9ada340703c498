import type { CallScript } from '@locutor/core/call';
import { boxDefaults, boxId, personDefaults, personId, usualOutgoing } from '@locutor/core/directory';
import { hoursId } from '@locutor/core/hours';
import {
  lineId,
  messageDefaults,
  newMenu,
  ringDefaults,
  schemaVersion,
  sheetId,
  type Attendant,
} from '@locutor/core/line';
import { findWays, layOut } from '@locutor/core/paths';
import { renderToStaticMarkup } from 'react-dom/server';
import { paperColours } from './colours';
import { drawingHeight, MapDrawing, MapLabels, rowPx, rowTitle } from './MapDrawing';

const priya = { ...personDefaults, id: personId.create('priya'), name: 'Priya <Castellanos>', extension: '204' };
const office = { ...boxDefaults, id: boxId.create('office'), name: 'Office' };
const welcome = sheetId.create('welcome');
const message = [{ type: 'takeMessage' as const, boxId: office.id, ...messageDefaults }];
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [
    {
      ...newMenu(welcome, 'Welcome'),
      openingWords: 'Hello & welcome.',
      options: [
        {
          key: '1',
          label: 'moorings',
          readOut: true,
          path: [{ ...ringDefaults, type: 'ring', personId: priya.id }, ...message],
        },
      ],
      silencePath: message,
      wrongKeyPath: message,
    },
  ],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [{ type: 'goTo', sheetId: welcome }] },
};
const main = lineId.create('main');
const hours = {
  id: hoursId.create('main'),
  name: 'Hours',
  periods: [],
  week: [],
  datedWeeks: [],
  seasons: [],
  special: [],
};
const script: CallScript = {
  lineId: main,
  lines: [
    {
      id: main,
      name: 'Boatyard',
      switched: null,
      operatorId: null,
      number: '+12075550140',
      timeZone: 'UTC',
      hours,
      attendant,
    },
  ],
  people: [priya],
  groups: [],
  queues: [],
  boxes: [office],
  contacts: [],
  callerLists: [],
  greetings: [],
  takes: [],
  holdMusic: 'harbor',
  outgoing: usualOutgoing,
  hours: [],
};
const names = { [priya.id]: priya.name, [office.id]: office.name };
const layout = layOut(findWays(script, { atMs: 0 }).ways, { pxPerSecond: 20, rowPx, leftPx: 24, endPx: 100 });
const draw = (rows = layout.rows): string =>
  renderToStaticMarkup(
    <svg>
      <MapDrawing layout={layout} rows={rows} attendant={attendant} names={names} colours={paperColours} />
      <MapLabels layout={layout} rows={rows} attendant={attendant} colours={paperColours} />
    </svg>,
  );

describe('the drawing of the time map', () => {
  it('shows ways, who is rung, boxes and ends, with markup only as text', () => {
    const svg = draw();
    for (const text of ['The line answers', '1 moorings', 'no key', 'wrong keys', 'Office', 'message']) {
      expect(svg).toContain(`>${text}<`);
    }
    expect(svg).toContain('Priya &lt;Castellanos&gt;');
    expect(svg).not.toContain('<Castellanos>');
  });

  it('needs nothing of the page: its colours and faces are in it', () => {
    expect(draw()).not.toMatch(/var\(|class=/);
    expect(draw()).toContain('IBM Plex Sans');
  });

  it('draws only some rows on a sheet of paper, from its own top', () => {
    const svg = draw(layout.rows.slice(2));
    expect(svg).not.toContain('>1 moorings<');
    expect(svg).toContain('>wrong keys<');
    expect(svg).toContain(`translate(0 ${24 - 2 * rowPx})`);
    expect(drawingHeight(2)).toBe(2 * rowPx + 24);
  });

  it('tells each way in words', () => {
    const [first, moorings, silence] = layout.rows.map((row) => rowTitle(row, attendant, names));
    expect(first).toBe('The line answers: Welcome is said from 0:00 on');
    expect(moorings).toMatch(/^1 moorings: heard after 0:0\d, rings after 0:0\d \(0:00 for those who know the keys\)/);
    expect(silence).toMatch(/^no key: heard after 0:\d\d, ends after \d:\d\d: message$/);
  });
});
