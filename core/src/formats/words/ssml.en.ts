import type { SsmlProblem } from '../ssml';

/** Why a file cannot be read as SSML, and what to do, in the manager's words. */
export function describeSsmlProblem(problem: SsmlProblem): string {
  switch (problem.type) {
    case 'notXml':
      return problem.line === null
        ? 'This is not XML that can be read. Nothing was changed.'
        : `This is not XML: something is wrong at line ${problem.line}. Nothing was changed.`;
    case 'notSsml':
      return 'This is XML, but not SSML: it does not begin with a speak element, or refers to what is outside it.';
    case 'noWords':
      return 'There are no words in this file. Nothing was changed.';
    case 'tooLarge':
      return `This file is larger than ${Math.round(problem.mostBytes / 1000)} kB. A greeting is much shorter.`;
    case 'tooLong':
      return `The words are longer than ${problem.most.toLocaleString('en')} characters. Shorten them first.`;
  }
}
