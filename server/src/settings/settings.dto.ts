import { aloneLimits } from '@locutor/core/proof';
import {
  costlyKinds,
  countries,
  emailPattern,
  longestEmail,
  membershipLimits,
  mostOutgoingAtOnce,
  personId,
  type CostlyKind,
  type Country,
  type OutgoingLimits,
  type PersonId,
} from '@locutor/core/directory';
import { isHoldMusic, lineId, type HoldMusic, type LineId } from '@locutor/core/line';
import {
  longestSpanName,
  mostSavedSpans,
  reportTimes,
  spanNames,
  type ReportPlan,
  type SpanName,
} from '@locutor/core/traffic';
import {
  CheckedField,
  ChoiceField,
  ChoicesField,
  OrEmpty,
  OrNull,
  PartField,
  PartsField,
  PatternField,
  PatternsField,
  RevisionField,
  TextField,
  WholeField,
  YesNoField,
} from '../problems/fields';
import { versionId } from '../versions/versionId';
import { BudgetDto, RatesDto } from './rates.dto';

const datePattern = /^[12]\d{3}-\d{2}-\d{2}$/;

class OutgoingDto implements OutgoingLimits {
  @ChoicesField({ of: costlyKinds, says: 'Say which kinds of number may be called.' })
  kinds: readonly CostlyKind[];

  @OrNull()
  @ChoicesField({ of: countries, says: 'Countries are named by their two letters, like US.' })
  countries: readonly Country[] | null;

  @WholeField({ name: 'How many outside phones at once', least: 1, most: mostOutgoingAtOnce })
  mostAtOnce: number;
}

class SavedSpanDto {
  @TextField({ name: 'The name of the span', most: longestSpanName })
  name: string;

  @ChoiceField({ of: spanNames, says: 'That is not a span that has a name.', optional: true })
  span?: SpanName;

  @PatternField({ pattern: datePattern, says: 'The first day is written as in 2026-11-24.', optional: true })
  from?: string;

  @PatternField({ pattern: datePattern, says: 'The last day is written as in 2026-11-24.', optional: true })
  to?: string;

  @PatternField({ pattern: versionId.pattern, says: 'That is not the id of a version.', optional: true })
  since?: string;
}

class ReportDto implements ReportPlan {
  @ChoiceField({ of: reportTimes, says: 'Reports are sent every week, every month, or never.' })
  every: ReportPlan['every'];

  @OrNull()
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.' })
  lineId: LineId | null;

  @PatternsField({ pattern: personId.pattern, says: 'Say who gets it by their ids.', most: membershipLimits.members })
  tell: readonly PersonId[];
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

  @WholeField({ name: 'How many seconds callers may be left alone', ...aloneLimits, optional: true })
  mostAloneSeconds?: number;

  @WholeField({ name: 'How many megabytes of spoken sentences are kept', least: 10, most: 100_000, optional: true })
  mostSpokenMegabytes?: number;

  @CheckedField({
    check: isHoldMusic,
    says: () => 'That is neither a piece of hold music that is shipped nor a recording.',
    optional: true,
  })
  holdMusic?: HoldMusic;

  @PartField({ of: OutgoingDto, says: 'Say what outside numbers may be called.', optional: true })
  outgoing?: OutgoingDto;

  @PartField({ of: RatesDto, says: 'Say the currency and the rate cards.', optional: true })
  rates?: RatesDto;

  @OrNull()
  @PartField({ of: BudgetDto, says: 'Say what calls may cost, and who is told.', optional: true })
  budget?: BudgetDto | null;

  @PartsField({
    of: SavedSpanDto,
    says: 'Saved spans are a list.',
    most: mostSavedSpans,
    tooMany: `At most ${mostSavedSpans} spans are kept.`,
    optional: true,
  })
  savedSpans?: readonly SavedSpanDto[];

  @PartField({ of: ReportDto, says: 'Say how often reports are sent, and to whom.', optional: true })
  report?: ReportDto;
}
