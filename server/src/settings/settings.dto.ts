import {
  costlyKinds,
  countries,
  emailPattern,
  longestEmail,
  mostOutgoingAtOnce,
  type CostlyKind,
  type Country,
  type OutgoingLimits,
} from '@locutor/core/directory';
import { holdMusicIds, type HoldMusicId } from '@locutor/core/line';
import {
  ChoiceField,
  ChoicesField,
  OrEmpty,
  OrNull,
  PartField,
  PatternField,
  RevisionField,
  TextField,
  WholeField,
  YesNoField,
} from '../problems/fields';

class OutgoingDto implements OutgoingLimits {
  @ChoicesField({ of: costlyKinds, says: 'Say which kinds of number may be called.' })
  kinds: readonly CostlyKind[];

  @OrNull()
  @ChoicesField({ of: countries, says: 'Countries are named by their two letters, like US.' })
  countries: readonly Country[] | null;

  @WholeField({ name: 'How many outside phones at once', least: 1, most: mostOutgoingAtOnce })
  mostAtOnce: number;
}

export class ChangeSettingsDto {
  @RevisionField()
  revision: number;

  @OrEmpty()
  @PatternField({
    pattern: /^[A-Za-z0-9]([A-Za-z0-9.-]{0,251}[A-Za-z0-9])?$/,
    says: 'A mail server is named like mail.example.org.',
    most: 253,
    optional: true,
  })
  mailHost?: string;

  @WholeField({ name: 'The port of the mail server', least: 1, most: 65_535, optional: true })
  mailPort?: number;

  @YesNoField({ name: 'Encrypted from the beginning', optional: true })
  mailSecure?: boolean;

  @TextField({ name: 'The name at the mail server', least: 0, most: 200, optional: true })
  mailUser?: string;

  @TextField({ name: 'The password at the mail server', least: 0, most: 200, optional: true })
  mailPassword?: string;

  @PatternField({ pattern: emailPattern, says: 'That is not an e-mail address.', most: longestEmail, optional: true })
  mailFrom?: string;

  @WholeField({ name: 'How many days calls are kept', least: 1, most: 3650, optional: true })
  keepCallsDays?: number;

  @WholeField({ name: 'How many days deleted things are kept', least: 1, most: 3650, optional: true })
  keepDeletedDays?: number;

  @WholeField({ name: 'How many days spoken sentences are kept', least: 1, most: 3650, optional: true })
  keepSpokenDays?: number;

  @WholeField({ name: 'How many megabytes of spoken sentences are kept', least: 10, most: 100_000, optional: true })
  mostSpokenMegabytes?: number;

  @ChoiceField({ of: holdMusicIds, says: 'That is not a piece of hold music that is shipped.', optional: true })
  holdMusic?: HoldMusicId;

  @PartField({ of: OutgoingDto, says: 'Say what outside numbers may be called.', optional: true })
  outgoing?: OutgoingDto;
}
