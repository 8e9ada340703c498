import { suggestedName } from './suggestedName';

describe('a name suggested from use', () => {
  it.each([
    ['New greeting', ['the box Moorings'], 'Moorings voicemail'],
    ['New greeting 2', ['the queue Spring launch line'], 'Spring launch line, while waiting'],
    ['new greeting', ['key 3 of Welcome', 'the box Yard'], 'Key 3 of Welcome'],
    ['New greeting', [], undefined],
    ['Regatta', ['the box Yard'], undefined],
  ])('for %p used in %p is %p', (name, uses, wanted) => expect(suggestedName(name, uses)).toBe(wanted));
});
