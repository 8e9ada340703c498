import type { Clash, ToldClash } from '../../merging';
import type { Attendant } from '../attendant';
import { mergeAttendants } from '../mergeAttendants';
import { differencesInWords } from './differences.en';
import type { Names } from './en';

/**
 * What two windows made of the same places of an attendant, in words, one for each clash: what the attendant would be
 * with the one and with the other, everything else alike.
 */
export function describeAttendantClashes(
  [base, mine, theirs]: readonly [Attendant, Attendant, Attendant],
  clashes: readonly Clash[],
  names: Names,
): readonly ToldClash[] {
  const without = mergeAttendants(base, mine, theirs).document;
  return clashes.map((clash): ToldClash => {
    const place = clash.at.join(' ');
    const choose = ({ at }: Clash) => (at.join(' ') === place ? 'mine' : 'theirs');
    const withMine = mergeAttendants(base, mine, theirs, choose).document;
    const [told, ...more] = differencesInWords(without, withMine, names);
    if (!told) return { where: 'The order of the outline', mine: 'as it is here', theirs: 'as in the other window' };
    const where = more.length === 0 ? told.where : `${told.where}, and what goes with it`;
    return { where, mine: told.is || 'nothing', theirs: told.was || 'nothing' };
  });
}
