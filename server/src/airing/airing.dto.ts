import { IntersectionType } from '@nestjs/swagger';
import { IfSent, OrNull, PartsField, PatternField, RevisionField, TextField, WholeField } from '../problems/fields';
import { byRule, longestKey } from '../proof/proof.dto';
import { versionId, type VersionId } from '../versions/versionId';

const noteRule = { name: 'The note', least: 0, most: 500, optional: true };

/** A yes to a caution or to a rehearsal that does not go as it should. */
export class YesDto {
  @TextField({ name: 'What the yes is to', most: longestKey })
  key: string;

  @TextField({ name: 'The reason', lines: true, most: 300 })
  reason: string;
}

export class AirDto {
  /** Who does it, as they are called in the office. */
  @TextField({ ...byRule, optional: true })
  by?: string;

  @TextField(noteRule)
  note?: string;
}

/** An earlier version that is to go back on air. */
export class PutBackDto extends AirDto {
  /** The version that was seen to be on air and is replaced; null for none. Left out, whatever is on air is replaced. */
  @IfSent()
  @OrNull()
  @PatternField({ pattern: versionId.pattern, says: 'That is not the id of a version.', optional: true })
  replaces?: VersionId | null;

  /** What is gone on air with all the same, each with its reason; remembered. */
  @PartsField({
    of: YesDto,
    says: 'Each yes has a key and a reason.',
    most: 500,
    tooMany: 'There are more than anybody says yes to.',
    optional: true,
  })
  yes?: YesDto[];
}

export class PutOnAirDto extends PutBackDto {
  /** The revision of the draft that was looked at. */
  @RevisionField()
  draftRevision: number;
}

class WhenDto {
  @WholeField({ name: 'When it goes on air, in ms since 1970,', least: 0, most: Number.MAX_SAFE_INTEGER })
  at: number;

  /** The revision of the plan that this one changes; left out for a new one. */
  @WholeField({ name: 'The revision of the plan', least: 1, most: Number.MAX_SAFE_INTEGER, optional: true })
  revision?: number;
}

export class PlanDto extends IntersectionType(PutOnAirDto, WhenDto) {}
export class PlanBackDto extends IntersectionType(PutBackDto, WhenDto) {}
