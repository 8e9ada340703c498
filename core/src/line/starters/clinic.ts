import { newMenu } from '../sheet';
import { assembled, follow, frontDeskPath, option, team, type Starter } from './starter';

/** A clinic: emergencies are told where to turn before anything else. */
export const clinic: Starter = {
  name: 'A clinic',
  about: 'Emergencies first, then appointments, results, prescriptions and the desk.',
  make(facts) {
    const frontDesk = frontDeskPath(facts);
    const of = (index: number) => team(facts, index, 3, 24);
    const appointments = {
      ...newMenu(facts.sheetId('appointments'), 'Appointments'),
      openingWords: 'Appointments.',
      options: [
        option('1', 'a new appointment', of(0)),
        option('2', 'to change or cancel one', of(0)),
        option('9', 'to go back', [{ type: 'back' }]),
      ],
      silentRounds: 1,
      silencePath: of(0),
      wrongKeyPath: of(0),
    };
    const welcome = {
      ...newMenu(facts.sheetId('welcome'), 'Welcome'),
      openingWords: `${facts.businessName}. If this is an emergency, hang up and dial the emergency number.`,
      options: [
        option('1', 'appointments', [{ type: 'goTo', sheetId: appointments.id }]),
        option('2', 'test results', of(1)),
        option('3', 'a prescription', of(2)),
        option('0', 'the front desk', follow(frontDesk)),
      ],
      closingWords: 'Or stay on the line.',
      silentRounds: 1,
      silencePath: follow(frontDesk),
      wrongKeyPath: follow(frontDesk),
    };
    return assembled(facts, { welcome, others: [appointments], frontDesk });
  },
};
