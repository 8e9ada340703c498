import { boxId, callerListId, contactId, personId } from '@locutor/core/directory';
import { hoursId, periodId, specialDateId, type Hours } from '@locutor/core/hours';
import {
  lineId,
  messageDefaults,
  namedPathId,
  newMenu,
  ringDefaults,
  schemaVersion,
  sheetId,
  type Attendant,
  type Path,
} from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { answerName } from '../../app/answering';
import { linkOf } from '../../handset/captionWords';
import { usesInWords } from '../directory/usesInWords';
import { whyWords } from '../today/whyWords';
import { findingLink } from './findingSheet';
import { keyFieldId } from './goToKey';

const welcome = sheetId.create('welcome');
const desk = namedPathId.create('desk');
const slips = callerListId.create('slips');
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [newMenu(welcome, 'Welcome')],
  paths: [{ id: desk, name: 'Front desk', steps: [] }],
  fallbacks: [],
  answering: { rules: [], otherwise: [] },
};
const names = {
  [slips]: 'Slip holders',
  [contactId.create('tow')]: 'Tow boat',
  [lineId.create('shed')]: 'Storage shed',
};

describe('where a finding leads', () => {
  const at = (place: Finding['at']): Finding => ({
    rule: 'pathEmpty',
    grade: 'fault',
    consequence: 'wrongPlace',
    key: 'pathEmpty',
    at: place,
  });
  it.each<[Finding['at'], string]>([
    [{ type: 'sheet', sheetId: welcome }, '/script/sheet:welcome'],
    [
      { type: 'path', slot: { type: 'key', sheetId: welcome, key: '#' }, stepIndex: 0 },
      '/script/sheet:welcome?key=%23',
    ],
    [{ type: 'path', slot: { type: 'silence', sheetId: welcome }, stepIndex: null }, '/script/sheet:welcome'],
    [{ type: 'path', slot: { type: 'named', pathId: desk }, stepIndex: 0 }, '/script/path:desk'],
    [{ type: 'path', slot: { type: 'callers', callerListId: slips }, stepIndex: null }, '/hours'],
    [{ type: 'path', slot: { type: 'otherwise' }, stepIndex: null }, '/hours'],
  ])('%o is mended at %s', (place, link) => expect(findingLink(at(place))).toBe(link));
});

describe('where a caption leads', () => {
  it('is the named path in which the words stand', () => {
    const slot = { type: 'named', pathId: desk } as const;
    expect(linkOf({ type: 'step', slot, stepIndex: 0 })).toBe('/script/path:desk');
  });
});

describe('where something is used', () => {
  it('may be a named path, or the answer for a list of callers', () => {
    const uses = [
      { slot: { type: 'named', pathId: desk } as const, stepIndex: 0 },
      { slot: { type: 'callers', callerListId: slips } as const, stepIndex: null },
    ];
    expect(usesInWords(uses, attendant, names)).toBe('The path Front desk: in it; Hours: for Slip holders');
  });
});

describe('what answers, by name', () => {
  const message: Path[number] = { type: 'takeMessage', boxId: boxId.create('gone'), ...messageDefaults };
  it.each<[Path, string]>([
    [[{ type: 'followPath', pathId: desk }, message], 'Front desk'],
    [[{ type: 'handOver', to: { type: 'contact', contactId: contactId.create('tow') }, before: '' }], 'Tow boat'],
    [
      [{ type: 'ringOutside', to: { type: 'number', number: '+12075550161' }, accept: true, ...ringDefaults }],
      '+1 207 555 0161',
    ],
    [[{ type: 'toLine', lineId: lineId.create('shed') }], 'Storage shed'],
    [
      [
        { type: 'record', on: true, tells: false },
        { type: 'searchByName', by: 'lastName', seconds: 24 },
      ],
      'a search by name',
    ],
    [[{ type: 'askExtension', seconds: 24 }], 'a question for the extension'],
    [[{ type: 'ring', personId: personId.create('gone'), ...ringDefaults }], 'something deleted'],
    [[], 'nothing'],
  ])('%j is %s', (path, name) => {
    const rules = [{ type: 'callers' as const, callerListId: slips, path }];
    const answering = { rules, otherwise: path };
    expect(answerName({ type: 'otherwise' }, { ...attendant, answering }, names)).toBe(name);
    expect(answerName({ type: 'callers', callerListId: slips }, { ...attendant, answering }, names)).toBe(name);
  });

  it('says why: the list the caller is in, or nothing that runs', () => {
    const nothing: Hours = {
      id: hoursId.create('none'),
      name: '',
      periods: [],
      week: [],
      datedWeeks: [],
      seasons: [],
      special: [],
    };
    const moment = { hours: nothing, timeZone: 'UTC', atMs: 0 };
    expect(whyWords({ type: 'callers', callerListId: slips }, names, moment)).toBe(
      'Because the caller is in Slip holders.',
    );
    // The second day of 1970 was a Friday.
    const span = { periodId: periodId.create('gone'), day: 1, startMin: 1320, endMin: 1560, from: null };
    expect(whyWords({ type: 'period', periodId: span.periodId, span }, names, moment)).toContain(
      'a period runs on Friday',
    );
    const party = specialDateId.create('party');
    const special = { type: 'period', periodId: span.periodId, span: { ...span, from: party } } as const;
    expect(whyWords(special, { [party]: 'Christmas party' }, moment)).toContain('runs on Christmas party from');
    expect(whyWords({ type: 'special', specialId: party, ruleOf: null }, { [party]: 'Inventory week' }, moment)).toBe(
      'Because it is Inventory week.',
    );
  });
});

describe('the fields of two menus side by side', () => {
  it('are told apart, and can be addressed in a page', () => {
    const other = sheetId.create('closed');
    expect(keyFieldId(welcome, '1')).not.toBe(keyFieldId(other, '1'));
    expect(keyFieldId(welcome, '#')).not.toMatch(/\s/);
  });
});
