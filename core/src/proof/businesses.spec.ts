import {
  bookkeepers,
  dentists,
  infoId,
  lettings,
  message,
  nightId,
  officeBox,
  ringFront,
  secondId,
  welcomeId,
  type Business,
} from '../testing/businesses';
import { callerListId } from '../directory';
import {
  applyEdit,
  ringDefaults,
  sheetId,
  newAnnouncement,
  type Edit,
  type Path,
  type SheetId,
  type WordsPart,
} from '../line';
import { openIn, proof, type ProofSubject, type RuleName } from '.';
import { placeKey } from './rule';
import { withRowFix } from './rowFix';

const all: readonly Business[] = [dentists, lettings, bookkeepers];
const read = ({ subject }: Business, edits: readonly Edit[] = [], office: Partial<ProofSubject> = {}) =>
  proof({ ...subject, ...office, attendant: edits.reduce(applyEdit, subject.attendant) });
/** Tips about prices and what nobody has to mend are left out. */
const remarksOf = (...asked: Parameters<typeof read>): readonly string[] =>
  openIn(read(...asked), [])
    .filter(({ rule }) => rule !== 'priceInWords')
    .map(({ rule, at }) => `${rule} ${placeKey(at)}`);
const says = (id: SheetId, words: string, part: WordsPart = 'openingWords'): Edit => ({
  ...{ type: 'setWords', sheetId: id, part: id === infoId ? 'words' : part, words },
});
const onKey = (key: '1' | '2' | '0', ...path: Path): Edit => ({
  ...{ type: 'setPath', slot: { type: 'key', sheetId: welcomeId, key }, path },
});
const extra = sheetId.create('extra');
const listId = callerListId.create('regulars');

it.each(all)('finds nothing in a sound business: $name', (business) => {
  expect(remarksOf(business)).toEqual([]);
});

describe.each<[Business, readonly [SheetId, string][]]>([
  [
    dentists,
    [
      [
        nightId,
        'Unsere Praxis ist geschlossen. Im Notfall wählen Sie die 112. Der Notdienst ist unter 116117 erreichbar.',
      ],
      [nightId, 'Wir haben geschlossen. In dringenden Notfällen wählen Sie bitte die 112 oder die 110.'],
      [
        nightId,
        'Die Praxis ist zurzeit geschlossen. Im Notfall die 112. Montag bis Freitag sind wir von 8 bis 17.30 Uhr für Sie da.',
      ],
      [nightId, 'Außerhalb der Sprechzeiten ist im Notfall die 112 für Sie da. Hinterlassen Sie eine Nachricht.'],
      [welcomeId, 'Willkommen bei der Zahnarztpraxis Lindenhof. Bitte bleiben Sie in der Leitung.'],
      [welcomeId, 'Willkommen. Seit 1998 in Ihrer Nähe.'],
      [welcomeId, 'Guten Tag. Bitte halten Sie Ihre Versichertenkarte bereit.'],
      [infoId, 'Der Parkplatz wird im Winter von 5 bis 7 Uhr geräumt.'],
      [infoId, 'Eine Zahnreinigung kostet 95 Euro.'],
      [infoId, 'Die Apotheke nebenan hat auch samstags geöffnet.'],
    ],
  ],
  [
    lettings,
    [
      [nightId, 'Our office is closed. In an emergency dial 9 9 9. For gas, leave the building first.'],
      [
        nightId,
        'We are closed. For an emergency repair at night, leave a message and the on-call engineer will ring you.',
      ],
      [nightId, 'You have reached us outside office hours. If it is an emergency, call 999.'],
      [nightId, 'Our office is closed. Emergencies: call 999. We are open Monday to Saturday, 9 am to 5 pm.'],
      [nightId, 'Our office is closed on Sundays. If there is a leak, turn off the stopcock and leave a message.'],
      [welcomeId, 'Welcome to Marlow Lettings. Please stay on the line.'],
      [welcomeId, 'Welcome to Marlow Lettings. We are open until five today.'],
      [welcomeId, 'Letting homes since 1987. Statements for 2025 were posted in May.'],
      [infoId, 'The car park closes at 7 pm. The river path opens at sunrise.'],
      [infoId, 'A reference costs £25, and a spare key £12.'],
      [infoId, 'Ask for Imran Sholto at the desk.'],
      [infoId, 'Press coverage of our homes is on our web site.'],
    ],
  ],
  [
    bookkeepers,
    [
      [nightId, 'Le cabinet est fermé. Laissez un message après le bip.'],
      [nightId, 'Nous sommes fermés. Nous sommes ouverts du lundi au jeudi de 9h à 18h.'],
      [nightId, 'Le cabinet est fermé le vendredi. Laissez un message, nous vous rappellerons.'],
      [welcomeId, 'Bienvenue au cabinet Valmont. Ne quittez pas.'],
      [welcomeId, 'Bienvenue. À votre service depuis 2009.'],
      [infoId, 'Le parking de la gare est fermé le dimanche.'],
      [infoId, 'La déclaration coûte 180 euros.'],
      [infoId, 'Les bilans de 2025 sont prêts.'],
    ],
  ],
])('sentences that are right', (business, sentences) => {
  it.each(sentences)(`are left alone by $name, %s: %s`, (id, words) => {
    expect(remarksOf(business, [says(id, words)])).toEqual([]);
  });
});

describe('what is wrong', () => {
  type Wrong = readonly [string, RuleName, string, readonly Edit[], Partial<ProofSubject>?];
  const leaveLeaver: Partial<ProofSubject> = { leavers: ['Dora Maass'] };
  const everywhere: readonly Wrong[] = [
    ['a path that is empty', 'pathEmpty', `key ${welcomeId} 1`, [onKey('1')]],
    ['ringing that just stops', 'pathStops', `key ${welcomeId} 1 step 0`, [onKey('1', ringFront)]],
    [
      'a first wrong key that hangs up',
      'cutOffAlone',
      `wrongKey ${welcomeId}`,
      [
        { type: 'setPath', slot: { type: 'wrongKey', sheetId: welcomeId }, path: [{ type: 'hangUp', words: '' }] },
        { type: 'setMenuSettings', sheetId: welcomeId, settings: { wrongKeys: 1 } },
      ],
    ],
    ['somebody who left', 'nameInWords', infoId, [says(infoId, 'Dora Maass.')], leaveLeaver],
    ['a placeholder', 'leftInWords', infoId, [says(infoId, '[YOUR COMPANY NAME]')]],
    ['a live part of somebody deleted', 'leftInWords', infoId, [says(infoId, '{name person:gone}')]],
    ['an empty group', 'nobodyThere', `key ${welcomeId} 1 step 0`, [], { groups: [] }],
    [
      'two options with the same words',
      'sameOptions',
      `key ${welcomeId} 2`,
      [
        { type: 'setOption', sheetId: welcomeId, key: '2', option: { label: 'x' } },
        { type: 'setOption', sheetId: welcomeId, key: '1', option: { label: 'x' } },
      ],
    ],
    ['a box that nobody hears', 'boxUnheard', officeBox, [], 'box' as never],
    [
      'the night menu in the place of the day',
      'openInWords',
      nightId,
      [
        {
          type: 'setPath',
          slot: { type: 'period', periodId: dentists.subject.hours.periods[0]?.id as never },
          path: [{ type: 'goTo', sheetId: nightId }],
        },
      ],
    ],
    [
      'the day menu at night',
      'closedUnheard',
      nightId,
      [{ type: 'setPath', slot: { type: 'otherwise' }, path: [{ type: 'goTo', sheetId: welcomeId }] }],
    ],
    [
      'callers on a list who are hung up on',
      'listNowhere',
      `callers ${listId}`,
      [{ type: 'addRule', rule: { type: 'callers', callerListId: listId, path: [{ type: 'hangUp', words: 'x' }] } }],
      'list' as never,
    ],
    [
      'an empty list in use',
      'listEmpty',
      `callers ${listId}`,
      [{ type: 'addRule', rule: { type: 'callers', callerListId: listId, path: [ringFront, ...message] } }],
      'emptyList' as never,
    ],
    [
      'six people for a minute each',
      'longAlone',
      `key ${welcomeId} 1`,
      [
        onKey(
          '1',
          ...Array.from({ length: 6 }, (): Path[number] => ({
            ...ringDefaults,
            type: 'ring',
            personId: secondId,
            seconds: 60,
          })),
          ...message,
        ),
      ],
    ],
    [
      'a sheet that nothing leads to',
      'unreached',
      extra,
      [{ type: 'addSheet', sheet: { ...newAnnouncement(extra, 'Old'), words: 'x', afterPath: message } }],
    ],
  ];
  const office = (subject: ProofSubject, asked: unknown): Partial<ProofSubject> => {
    const list = { id: listId, name: 'Regulars', kind: 'favoured' as const, patterns: ['+4930*'], anonymous: false };
    if (asked === 'box') return { boxes: subject.boxes.map((box) => ({ ...box, ownerId: null })) };
    if (asked === 'list') return { callerLists: [list] };
    if (asked === 'emptyList') return { callerLists: [{ ...list, patterns: [] }] };
    const given = (asked ?? {}) as Partial<ProofSubject>;
    return given.groups ? { groups: subject.groups.map((group) => ({ ...group, members: [] })) } : given;
  };
  const german: readonly Wrong[] = [
    ['a key that is none', 'keySaidNotMapped', welcomeId, [says(welcomeId, 'Für Rezepte drücken Sie die 5.')]],
    [
      'staying on the line at night',
      'stayNotKept',
      nightId,
      [says(nightId, 'Bitte bleiben Sie in der Leitung, wir sind gleich für Sie da. Im Notfall 112.')],
    ],
    [
      'other hours',
      'hoursInWords',
      nightId,
      [says(nightId, 'Unsere Sprechzeiten sind von 7 bis 20 Uhr. Im Notfall 112.')],
    ],
    [
      'an emergency number of elsewhere',
      'emergencyNumber',
      nightId,
      [says(nightId, 'Unsere Praxis ist geschlossen. Im Notfall wählen Sie die 911.')],
    ],
    ['no word of emergencies', 'noEmergencyWords', nightId, [says(nightId, 'Unsere Praxis ist geschlossen.')]],
    ['another number', 'numberInWords', infoId, [says(infoId, 'Unsere Telefonnummer lautet 030 23125999.')]],
    [
      'English in a German voice',
      'wrongLanguage',
      infoId,
      [says(infoId, 'You will find us on the first floor of the building.')],
    ],
    ['closed, by day', 'openInWords', welcomeId, [says(welcomeId, 'Unsere Praxis ist derzeit geschlossen.')]],
  ];
  const english: readonly Wrong[] = [
    ['a key that is none', 'keySaidNotMapped', infoId, [says(infoId, 'To speak to somebody, press 7.')]],
    [
      'staying on the line at night',
      'stayNotKept',
      nightId,
      [says(nightId, 'We are closed. Stay on the line for the front desk. Emergencies: 999.')],
    ],
    [
      'other hours',
      'hoursInWords',
      nightId,
      [says(nightId, 'We are open Monday to Saturday, 8 am to 6 pm. Emergency? Call 999.')],
    ],
    [
      'a day left out',
      'openInWords',
      nightId,
      [says(nightId, 'We are open Monday through Friday. Emergency? Call 999.')],
    ],
    [
      'closed on a day that is open',
      'openInWords',
      nightId,
      [says(nightId, 'We are closed on Saturdays. Emergency? Call 999.')],
    ],
    [
      'an emergency number of elsewhere',
      'emergencyNumber',
      nightId,
      [says(nightId, 'Our office is closed. In an emergency dial 911.')],
    ],
    ['an old year', 'dateInWords', infoId, [says(infoId, 'We are closed until January 4, 2025.')]],
    ['another number', 'numberInWords', infoId, [says(infoId, 'Call us at 020 7946 0999.')]],
    [
      'a message that nobody takes',
      'messageNotKept',
      extra,
      [
        {
          type: 'addSheet',
          sheet: {
            ...newAnnouncement(extra, 'Loft'),
            words: 'Leave a message after the tone.',
            afterPath: [{ type: 'hangUp', words: '' }],
          },
        },
        onKey('1', { type: 'goTo', sheetId: extra }),
      ],
    ],
    ['after hours, by day', 'openInWords', welcomeId, [says(welcomeId, 'You have reached us outside office hours.')]],
  ];
  const french: readonly Wrong[] = [
    ['a key that is none', 'keySaidNotMapped', welcomeId, [says(welcomeId, 'Pour les devis, tapez 6.')]],
    [
      'staying on the line at night',
      'stayNotKept',
      nightId,
      [says(nightId, 'Ne quittez pas, un conseiller va vous répondre.')],
    ],
    ['other hours', 'hoursInWords', nightId, [says(nightId, 'Nous sommes ouverts du lundi au jeudi de 8h à 20h.')]],
    ['another number', 'numberInWords', infoId, [says(infoId, 'Rappelez-nous au 04 65 71 99 99.')]],
    ['open, at night', 'openInWords', nightId, [says(nightId, 'Nous sommes ouverts.')]],
    [
      'English in a French voice',
      'wrongLanguage',
      infoId,
      [says(infoId, 'You will find us on the second floor of the building.')],
    ],
  ];

  const cases = [
    ...all.flatMap((business) => everywhere.map((wrong) => [business, ...wrong] as const)),
    ...german.map((wrong) => [dentists, ...wrong] as const),
    ...english.map((wrong) => [lettings, ...wrong] as const),
    ...french.map((wrong) => [bookkeepers, ...wrong] as const),
  ].map(([business, what, ...rest]) => [`${business.name}: ${what}`, business, ...rest] as const);

  it.each(cases.map((each) => [each[0], each] as const))(
    'is found at its place, and the fix is clean. %s',
    (_, each) => {
      const [, business, rule, place, edits, asked] = each;
      const around = office(business.subject, asked);
      const found = read(business, edits, around);
      expect(found.map(({ rule: name, at }) => `${name} ${placeKey(at)}`)).toContain(`${rule} ${place}`);
      const before = new Set(found.map((finding) => finding.rule));
      const subject = {
        ...business.subject,
        ...around,
        attendant: edits.reduce(applyEdit, business.subject.attendant),
      };
      for (const { key, fix, rowFix } of found) {
        if (!fix && !rowFix) continue;
        const mended = fix ? { ...subject, attendant: applyEdit(subject.attendant, fix) } : subject;
        const after = proof(rowFix ? withRowFix(mended, rowFix) : mended);
        expect(after.map((finding) => finding.key)).not.toContain(key);
        expect(after.filter((finding) => finding.grade !== 'tip' && !before.has(finding.rule))).toEqual([]);
      }
    },
  );
});
