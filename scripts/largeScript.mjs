/**
 * A made-up attendant of many menus, for measuring: each menu leads to a few further ones, rings somebody, takes a
 * message, and goes back.
 */
export function largeAttendant(core, { menus, people, boxId, periodId }) {
  const { newMenu, ringDefaults, messageDefaults, schemaVersion } = core('line');
  const idOf = (index) => `sheet:m${index}`;
  const branches = 3;
  const path = (index) => [
    { type: 'ring', personId: people[index % people.length].id, ...ringDefaults },
    { type: 'takeMessage', boxId, ...messageDefaults },
  ];
  const sheets = Array.from({ length: menus }, (_, index) => {
    const further = Array.from({ length: branches }, (_, branch) => index * branches + branch + 1).filter(
      (next) => next < menus,
    );
    const options = [
      ...further.map((next, branch) => ({
        key: String(branch + 1),
        label: `department ${next}`,
        readOut: true,
        path: [{ type: 'goTo', sheetId: idOf(next) }],
      })),
      ...['4', '5', '6', '7'].map((key) => ({
        key,
        label: `desk ${key} of department ${index}`,
        readOut: true,
        path: path(index + Number(key)),
      })),
      { key: '9', label: 'to go back', readOut: true, path: [{ type: 'back' }] },
    ];
    return {
      ...newMenu(idOf(index), `Department ${index}`),
      openingWords: `This is department ${index} of the boatyard. Please choose.`,
      options,
      silencePath: path(index),
      wrongKeyPath: path(index + 1),
    };
  });
  const toFirst = [{ type: 'goTo', sheetId: idOf(0) }];
  const rules = periodId ? [{ type: 'period', periodId, path: toFirst }] : [];
  return { schemaVersion, voice: 'slt', sheets, paths: [], fallbacks: [], answering: { rules, otherwise: toFirst } };
}
