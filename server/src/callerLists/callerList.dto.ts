import {
  callerListKinds,
  longestName,
  mostPatterns,
  readCallerPattern,
  type Country,
  type CallerListKind,
} from '@locutor/core/directory';
import { ApiPropertyOptional } from '@nestjs/swagger';
import { ArrayMaxSize, IsArray, IsString, MaxLength } from 'class-validator';
import { invalid } from '../problems/problem';
import { ChoiceField, IfSent, RevisionField, TextField, YesNoField } from '../problems/fields';

const kindRule = { of: callerListKinds, says: `A list of callers is ${callerListKinds.join(', ')}.` };

class CallersDto {
  /** Whole numbers, or the beginning of numbers with a star: `+1 207 555 0178`, `+1 207 *`. */
  @IfSent()
  @IsArray({ message: 'The numbers must be a list.' })
  @ArrayMaxSize(mostPatterns, { message: `At most ${mostPatterns} numbers.` })
  @IsString({ each: true, message: 'Each number must be text.' })
  @MaxLength(40, { each: true, message: 'A number is too long.' })
  @ApiPropertyOptional({ type: [String] })
  patterns?: string[];

  @YesNoField({ name: 'Callers who hide their number', optional: true })
  anonymous?: boolean;
}

export class AddCallerListDto extends CallersDto {
  @TextField({ name: 'The name of the list', most: longestName })
  name: string;

  @ChoiceField(kindRule)
  kind: CallerListKind;
}

export class ChangeCallerListDto extends CallersDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the list', most: longestName, optional: true })
  name?: string;

  @ChoiceField({ ...kindRule, optional: true })
  kind?: CallerListKind;
}

/** The numbers as they are kept, each once. @throws Problem 422 that names every one that is none. */
export function readPatterns(patterns: readonly string[], country: Country | undefined): string[] {
  const read = patterns.map((text) => ({ text, pattern: readCallerPattern(text, country) }));
  const wrong = read.filter(({ pattern }) => !pattern.ok);
  if (wrong.length > 0) {
    const says = (text: string): string =>
      `“${text}” is neither a telephone number nor the beginning of one with a star, such as +1 207 *.`;
    throw invalid(wrong.map(({ text }) => ({ at: 'patterns', says: says(text) })));
  }
  return [...new Set(read.flatMap(({ pattern }) => (pattern.ok ? [pattern.value] : [])))];
}
