import { longestName, readPhoneNumber } from '@locutor/core/directory';
import { isTimeZone } from '@locutor/core/hours';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { registerDecorator, IsOptional } from 'class-validator';
import { applyDecorators } from '@nestjs/common';
import { RevisionField, TextField } from '../problems/fields';

function checkedBy(check: (text: string) => boolean, says: (value: unknown) => string): PropertyDecorator {
  return (target, propertyName) =>
    registerDecorator({
      target: target.constructor,
      propertyName: String(propertyName),
      validator: {
        validate: (value) => typeof value === 'string' && check(value),
        defaultMessage: (args) => says(args?.value),
      },
    });
}

export function TimeZoneField({ optional = false } = {}): PropertyDecorator {
  return applyDecorators(
    checkedBy(isTimeZone, (value) => `“${String(value)}” is not a time zone. Choose one such as America/New_York.`),
    ...(optional ? [IsOptional(), ApiPropertyOptional({ type: String })] : [ApiProperty({ type: String })]),
  );
}

export function PhoneNumberField({ optional = false } = {}): PropertyDecorator {
  return applyDecorators(
    checkedBy(
      (text) => readPhoneNumber(text).ok,
      (value) => `“${String(value)}” is not a telephone number. Type it with its country, such as +1 207 555 0140.`,
    ),
    ...(optional ? [IsOptional(), ApiPropertyOptional({ type: String })] : [ApiProperty({ type: String })]),
  );
}

export class ChangeLineDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the line', most: longestName, optional: true })
  name?: string;

  @PhoneNumberField({ optional: true })
  number?: string;

  @TimeZoneField({ optional: true })
  timeZone?: string;
}
