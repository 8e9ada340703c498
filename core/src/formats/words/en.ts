import { unreachable } from '../../result';
import type { TakeInProblem, TakenField } from '../takeIn';

const fieldNames: Readonly<Record<TakenField, string>> = {
  name: 'name',
  extension: 'extension',
  email: 'e-mail',
  mobile: 'mobile',
  saidAs: 'how it is said',
};

export function describeField(field: TakenField): string {
  return fieldNames[field];
}

/** Why a row or card cannot be taken in, and what to do. */
export function describeTakeInProblem(problem: TakeInProblem): string {
  switch (problem.type) {
    case 'unreadable':
      return 'This card cannot be read.';
    case 'noName':
      return 'There is no name.';
    case 'tooLong':
      return `The ${fieldNames[problem.field]} is too long.`;
    case 'formula':
      return `The ${fieldNames[problem.field]} is a formula, “${problem.text.slice(0, 40)}”. Paste its value instead.`;
    case 'notAnExtension':
      return `“${problem.text}” is not an extension: it has 2 to 6 digits.`;
    case 'extensionTaken':
      return `Extension ${problem.extension} is ${problem.by}’s.`;
    case 'notAnEmail':
      return `“${problem.text}” is not an e-mail address.`;
    case 'notANumber':
      return `“${problem.text}” is not a telephone number.`;
    case 'twice':
      return `The same person is in row ${problem.firstRow} already.`;
    default:
      return unreachable(problem);
  }
}
