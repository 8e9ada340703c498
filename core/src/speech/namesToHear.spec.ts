import { namesToHear } from '.';

const people = (...names: string[]) => names.map((name) => ({ name, saidAs: '' }));

describe('names worth hearing', () => {
  it.each([
    ['en', ['Nguyen', 'Siobhan', 'Wójcik', 'Xiu', 'Ljubica', 'Zielinska', 'Iqbal', 'Beauchamp', 'Sjöberg']],
    ['fr', ['Schwarz', 'Kowalski', 'Wright']],
    ['es', ['Schneider', 'Wright', 'Philippe']],
    ['de', ['Szymon', 'Begoña', 'Rousseau']],
  ] as const)('in %s are those whose spelling it hardly has', (language, names) => {
    expect(namesToHear(people(...names), language, [])).toEqual(
      [...names].sort((one, other) => one.localeCompare(other)),
    );
  });

  it.each([
    ['en', ['Anna Miller', 'John Brown', 'Peter Lang', 'Maria Lopez', 'Grace Adams', 'Tom Baker']],
    ['fr', ['Marie Dupont', 'Jean Lefèvre', 'Chloé Martin']],
    ['es', ['María García', 'José Núñez', 'Lucía Romero']],
    ['de', ['Jürgen Müller', 'Sabine Schmidt', 'Heike Großmann']],
  ] as const)('in %s are none of its own', (language, names) => {
    expect(namesToHear(people(...names), language, [])).toEqual([]);
  });

  it('are none that somebody has said how to say', () => {
    const said = [{ written: 'Nguyen', said: 'win', language: null }];
    expect(namesToHear(people('Mai Nguyen'), 'en', said)).toEqual([]);
    expect(namesToHear(people('Mai Nguyen'), 'en', [{ ...said[0]!, language: 'fr' }])).toEqual(['Nguyen']);
    expect(namesToHear([{ name: 'Siobhan Daly', saidAs: 'Shiv awn Daly' }], 'en', [])).toEqual([]);
  });
});
