import { applyDecorators } from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  registerDecorator,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { exampleNumber, readPhoneNumber, type E164, type Country } from '@locutor/core/directory';
import { weekdays } from '@locutor/core/hours';
import { plainName, plainText } from '@locutor/core/text';
import { invalid } from './problem';

type Class = new () => object;

interface Optional {
  readonly optional?: boolean;
}

/** 1970, but 10,000. */
const inFigures = (count: number): string =>
  count.toLocaleString('en', { useGrouping: 'min2' } as Intl.NumberFormatOptions);

/**
 * A text of so many characters, spaces at its ends taken off; one line, unless it may have `lines`. `name` is what the
 * manager calls it.
 */
export function TextField(
  options: Optional & { name: string; least?: number; most: number; lines?: boolean },
): PropertyDecorator {
  const { name, least = 1, most, lines } = options;
  const plain = lines ? plainText : plainName;
  const message = ({ value }: { value: unknown }): string => {
    const length = typeof value === 'string' ? value.length : 0;
    if (length < least) return `${name} is missing.`;
    return `${name} is too long: ${inFigures(length)} characters; the most is ${inFigures(most)}.`;
  };
  return applyDecorators(
    Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? plain(value).trim() : value)),
    IsString({ message: `${name} must be text.` }),
    Length(least, most, { message }),
    ...described(options, { minLength: least, maxLength: most, description: name }),
  );
}

/** A text of a certain form; `says` tells the manager what it should be. */
export function PatternField(options: Optional & { pattern: RegExp; says: string; most?: number }): PropertyDecorator {
  const { pattern, says, most = 200 } = options;
  return applyDecorators(
    MaxLength(most, { message: says }),
    Matches(pattern, { message: says }),
    ...described(options, { pattern: pattern.source, description: says }),
  );
}

export function ChoiceField(options: Optional & { of: readonly string[]; says: string }): PropertyDecorator {
  const { of, says } = options;
  return applyDecorators(IsIn([...of], { message: says }), ...described(options, { enum: [...of], description: says }));
}

/** A list of choices, each once. */
export function ChoicesField(options: Optional & { of: readonly string[]; says: string }): PropertyDecorator {
  const { of, says } = options;
  return applyDecorators(
    IsArray({ message: says }),
    ArrayMaxSize(of.length, { message: says }),
    ArrayUnique({ message: says }),
    IsIn([...of], { each: true, message: says }),
    ...described(options, { type: 'array', items: { type: 'string', enum: [...of] }, description: says }),
  );
}

/** A list of texts of a certain form, each once unless some may be there again. */
export function PatternsField(
  options: Optional & { pattern: RegExp; says: string; most: number; mayRepeat?: boolean },
): PropertyDecorator {
  const { pattern, says, most, mayRepeat = false } = options;
  return applyDecorators(
    IsArray({ message: says }),
    ArrayMaxSize(most, { message: says }),
    ...(mayRepeat ? [] : [ArrayUnique({ message: says })]),
    MaxLength(200, { each: true, message: says }),
    Matches(pattern, { each: true, message: says }),
    ...described(options, { type: 'array', items: { type: 'string', pattern: pattern.source }, description: says }),
  );
}

/** A share in percent, with parts of one. */
export function PercentField(options: Optional & { name: string }): PropertyDecorator {
  const message = `${options.name} must be a number from 0 to 100.`;
  return applyDecorators(
    IsNumber({ maxDecimalPlaces: 3 }, { message }),
    Min(0, { message }),
    Max(100, { message }),
    ...described(options, { type: 'number', minimum: 0, maximum: 100, description: options.name }),
  );
}

export function WholeField(options: Optional & { name: string; least: number; most: number }): PropertyDecorator {
  const { name, least, most } = options;
  const message = `${name} must be a whole number from ${inFigures(least)} to ${inFigures(most)}.`;
  return applyDecorators(
    IsInt({ message }),
    Min(least, { message }),
    Max(most, { message }),
    ...described(options, { type: 'integer', minimum: least, maximum: most, description: name }),
  );
}

/** Some weekdays, 1 for Monday to 7 for Sunday: at least one, and none twice. */
export function WeekdaysField({ name }: { name: string }): PropertyDecorator {
  return applyDecorators(
    IsArray({ message: `${name} are missing.` }),
    ArrayMinSize(1, { message: 'Choose at least one day.' }),
    ArrayUnique({ message: `${name}: a day is named twice.` }),
    IsIn([...weekdays], { each: true, message: `${name} are 1 for Monday to 7 for Sunday.` }),
    ApiProperty({ type: [Number], description: `${name}: 1 is Monday, 7 is Sunday` }),
  );
}

export function YesNoField(options: Optional & { name: string }): PropertyDecorator {
  return applyDecorators(
    IsBoolean({ message: `${options.name} must be yes or no.` }),
    ...described(options, { type: 'boolean', description: options.name }),
  );
}

/** The revision that a change started from. */
export function RevisionField(): PropertyDecorator {
  return WholeField({ name: 'The revision this change started from', least: 1, most: Number.MAX_SAFE_INTEGER });
}

/** A text that core knows whether it is right; `says` tells the manager what it should be. */
export function CheckedField(
  options: Optional & { check: (text: string) => boolean; says: (value: unknown) => string },
): PropertyDecorator {
  const { check, says } = options;
  const checks: PropertyDecorator = (target, propertyName) =>
    registerDecorator({
      target: target.constructor,
      propertyName: String(propertyName),
      validator: {
        validate: (value) => typeof value === 'string' && check(value),
        defaultMessage: (args) => says(args?.value),
      },
    });
  return applyDecorators(checks, ...described(options, { type: 'string' }));
}

export function PhoneNumberField(options: Optional = {}): PropertyDecorator {
  return CheckedField({
    ...options,
    // In which country it is typed, and so whether it is a number, is known behind the door.
    check: (text) => text.length <= 40 && /^\s*\+?[\d\s()./-]*\d[\d\s()./-]*\d\s*$/.test(text),
    says: (value) => notANumber(String(value)),
  });
}

/** A number as it is kept; one that does not say its country is of the one given. @throws Problem 422 */
export function phoneNumberOf(text: string, country: Country | undefined): E164 {
  const number = readPhoneNumber(text, country);
  if (!number.ok) throw invalid([{ at: 'number', says: notANumber(text, country) }]);
  return number.value;
}

function notANumber(text: string, country?: Country): string {
  if (text.trim() === '')
    return `The telephone number is missing. Type it with its country, such as ${exampleNumber(country)}.`;
  return `“${text}” is not a telephone number. Type it with its country, such as ${exampleNumber(country)}.`;
}

/** Lets an empty text through unchecked. */
export function OrEmpty(): PropertyDecorator {
  return ValidateIf((_, value) => value !== '' && value !== undefined);
}

/** Lets what was not sent through unchecked; null was sent, and is right only with `OrNull`. */
export function IfSent(): PropertyDecorator {
  return ValidateIf((_, value) => value !== undefined);
}

/** One thing with fields of its own. */
export function PartField({ of, says, optional }: Optional & { of: Class; says: string }): PropertyDecorator {
  return applyDecorators(
    IsObject({ message: says }),
    ValidateNested({ message: says }),
    Type(() => of),
    ...described({ optional }, { type: of }),
  );
}

/** A list of things with fields of their own, and what is said when it is none, has too few or too many. */
export function PartsField(
  options: Optional & { of: Class; says: string; most: number; tooMany: string; tooFew?: string },
): PropertyDecorator {
  const { of, says, most, tooMany, tooFew } = options;
  return applyDecorators(
    IsArray({ message: says }),
    IsObject({ each: true, message: says }),
    ...(tooFew ? [ArrayMinSize(1, { message: tooFew })] : []),
    ArrayMaxSize(most, { message: tooMany }),
    ValidateNested({ each: true, message: says }),
    Type(() => of),
    ...described(options, { type: [of] }),
  );
}

/** Lets null through unchecked. */
export function OrNull(): PropertyDecorator {
  return ValidateIf((_, value) => value !== null);
}

function described({ optional }: Optional, schema: object): PropertyDecorator[] {
  return optional ? [IfSent(), ApiPropertyOptional(schema as never)] : [ApiProperty(schema as never)];
}
