import { newAnnouncement, newMenu } from '../sheet';
import { assembled, follow, frontDeskPath, option, team, type Starter } from './starter';

/** A shop: what most callers ask is said at once, an order finds its way to the counter. */
export const shop: Starter = {
  name: 'A shop',
  about: 'Opening hours and address said at once, orders and returns, the counter.',
  make(facts) {
    const frontDesk = { ...frontDeskPath(facts), name: 'Counter' };
    const welcomeId = facts.sheetId('welcome');
    const where = {
      ...newAnnouncement(facts.sheetId('where'), 'Hours and address'),
      words: '{business} is open {week}. Type here where you are.',
      afterPath: [{ type: 'goTo' as const, sheetId: welcomeId }],
    };
    const welcome = {
      ...newMenu(welcomeId, 'Welcome'),
      openingWords: `Thank you for calling ${facts.businessName}.`,
      options: [
        option('1', 'when we are open and where we are', [{ type: 'goTo', sheetId: where.id }]),
        option('2', 'an order', team(facts, 0, 2)),
        option('3', 'to bring something back', team(facts, 1, 2)),
        option('0', 'the counter', follow(frontDesk)),
      ],
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [where], frontDesk });
  },
};
