import { defaultRingSeconds } from '../step';
import { newMenu } from '../sheet';
import { assembled, follow, frontDeskPath, option, team, type Starter } from './starter';

/** An office with departments; who knows an extension or a name gets there at once. */
export const office: Starter = {
  name: 'An office with departments',
  about: 'Sales, service, accounts; callers can dial an extension at any time or search by name.',
  make(facts) {
    const frontDesk = frontDeskPath(facts);
    const of = (index: number) => team(facts, index, 3);
    const welcome = {
      ...newMenu(facts.sheetId('welcome'), 'Welcome'),
      openingWords: `Thank you for calling ${facts.businessName}. If you know the extension, dial it at any time.`,
      options: [
        option('1', 'sales', of(0)),
        // Extensions are proposed from 201 on: a key 2 would have to wait for further digits.
        option('3', 'service', of(1)),
        option('4', 'accounts', of(2)),
        option('5', 'to find somebody by name', [
          { type: 'searchByName', by: 'lastName', seconds: defaultRingSeconds },
          ...follow(frontDesk),
        ]),
        option('0', 'the front desk', follow(frontDesk)),
      ],
      extensions: { waitSeconds: 3 },
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [], frontDesk });
  },
};
