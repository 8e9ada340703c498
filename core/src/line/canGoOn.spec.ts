import { canGoOn, pathEnds, type Path } from '.';
import { attendant, message, noor, ringFor, welcomeId } from '../testing/boatyard';

const over: Path[number] = { type: 'handOver', to: { type: 'number', number: '+12075550190' }, before: '' };

describe('the end of a path', () => {
  it.each<[string, Path, boolean, boolean]>([
    ['nothing', [], false, true],
    ['somebody who is rung for a while', [ringFor(noor.id, 20)], false, true],
    ['a message', message, true, false],
    ['another sheet', [{ type: 'goTo', sheetId: welcomeId }], true, false],
    ['a hand-over, which may not be taken', [over], true, true],
    ['a message for when it is not', [over, ...message], true, false],
    ['a hand-over that never comes', [...message, over], true, false],
  ])('of %s', (_what, path, ends, goesOn) => {
    expect([pathEnds(attendant, path), canGoOn(attendant, path)]).toEqual([ends, goesOn]);
  });
});
