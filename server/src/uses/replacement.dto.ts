import type { ReferredId } from '@locutor/core/line';
import { PatternField } from '../problems/fields';

const anyId = /^(person|group|queue|box|contact|callers|greeting|line):[A-Za-z0-9_-]{1,40}$/;

export class ReplacementDto {
  @PatternField({ pattern: anyId, says: 'That is not the id of anything that can be replaced.' })
  from: ReferredId;

  /** Of the same kind. */
  @PatternField({ pattern: anyId, says: 'That is not the id of anything that can be put there.' })
  to: ReferredId;
}
