import type { Attendant } from '../attendant';
import type { Menu, Sheet } from '../sheet';
import type { Path, Step } from '../step';
import { describeStep, type Names } from './en';
import { languageOf, voiceLabel, voiceNameOf } from '../voice';

/** One line of a sheet as a page to be read. */
export interface SheetLine {
  /** Tells lines of a sheet apart, such as `key 2`: the same line in another version. */
  readonly id: string;
  /** What it is: "Key 2", "If nobody presses a key"; empty where the words say it. */
  readonly label: string;
  /** What callers hear, in the words as typed; empty for none. */
  readonly spoken: string;
  /** What happens, as a sentence; empty for nothing. */
  readonly does: string;
}

/** A sheet as a page to be read: what is said, what each key does, what happens if not. */
export function sheetLines(sheet: Sheet, attendant: Attendant, names: Names): readonly SheetLine[] {
  const path = (steps: Path): string => pathSentence(steps, attendant, names);
  const lines: SheetLine[] =
    sheet.type === 'announcement'
      ? [
          { id: 'words', label: '', spoken: sheet.words, does: '' },
          { id: 'after', label: 'Then', spoken: '', does: path(sheet.afterPath) },
        ]
      : menuLines(sheet, path);
  const voice = sheet.voice ? voiceLabel(voiceNameOf(sheet.voice)) : '';
  const recorded = recordedParts(sheet);
  return [
    ...lines,
    ...(sheet.voice
      ? [{ id: 'voice', label: 'Voice', spoken: '', does: `${voice} (${languageOf(sheet.voice)})` }]
      : []),
    ...(recorded ? [{ id: 'recordings', label: 'Recorded', spoken: '', does: recorded }] : []),
  ];
}

function menuLines(menu: Menu, path: (steps: Path) => string): SheetLine[] {
  const { waitSeconds, silentRounds, wrongKeys, keysDuringGreeting, extensions, speech } = menu;
  return [
    { id: 'opening', label: '', spoken: menu.openingWords, does: '' },
    ...menu.options.map(({ key, label, readOut, path: steps }) => ({
      id: `key ${key}`,
      label: readOut ? `Key ${key}` : `Key ${key}, not read out`,
      spoken: label,
      does: path(steps),
    })),
    { id: 'closing', label: '', spoken: menu.closingWords, does: '' },
    { id: 'order', label: 'Order', spoken: '', does: menu.options.map(({ key }) => key).join(' ') },
    {
      id: 'silence',
      label: `If nobody presses a key, ${silentRounds} × ${waitSeconds} s`,
      spoken: silentRounds > 1 ? menu.silenceWords : '',
      does: path(menu.silencePath),
    },
    {
      id: 'wrongKey',
      label: `At wrong key number ${wrongKeys}`,
      spoken: wrongKeys > 1 ? menu.wrongKeyWords : '',
      does: path(menu.wrongKeyPath),
    },
    {
      id: 'settings',
      label: 'Keys count',
      spoken: '',
      does: [
        keysDuringGreeting ? 'while the menu is said' : 'only once the menu was said',
        ...(extensions ? [`extensions can be dialled, ${extensions.waitSeconds} s between digits`] : []),
        ...(speech ? ['callers may speak'] : []),
      ].join('; '),
    },
  ];
}

function recordedParts(sheet: Sheet): string {
  const parts = Object.entries(sheet.takes).flatMap(([part, use]) =>
    use && !use.byVoice ? [partWords[part] ?? part] : [],
  );
  const options = sheet.type === 'menu' ? sheet.options.filter(({ take }) => take && !take.byVoice) : [];
  return [...parts, ...options.map(({ key }) => `key ${key}`)].join(', ');
}

const partWords: Readonly<Record<string, string>> = {
  whole: 'all of it',
  openingWords: 'opening words',
  closingWords: 'closing words',
};

/** A path as a sentence: "Ring Moorings for 20 s, then take a message in Moorings box." */
export function pathSentence(path: Path, attendant: Attendant, names: Names): string {
  const steps = path.map((step) => stepSentence(step, attendant, names));
  const text = steps.join(', then ');
  return text === '' ? 'Nothing.' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

function stepSentence(step: Step, attendant: Attendant, names: Names): string {
  if (step.type === 'say' && step.spoken.type === 'typed') return `say “${step.spoken.words}”`;
  return [describeStep(step, attendant, names), details(step)].filter(Boolean).join(' ');
}

/** What of a step its short description leaves out. */
function details(step: Step): string {
  const said: string[] = [];
  if ('before' in step && step.before) said.push(`saying “${step.before}” before`);
  if ('accept' in step && step.accept) said.push('to be accepted with 1');
  if (step.type === 'hangUp' && step.words) said.push(`saying “${step.words}”`);
  if (step.type === 'record' && step.on && !step.tells) said.push('without telling the caller');
  if ('hear' in step && step.hear.type !== 'ringback')
    said.push(step.hear.type === 'music' ? 'with hold music' : 'with a greeting');
  if (step.type === 'searchByName' || step.type === 'askExtension') said.push(`and ring for ${step.seconds} s`);
  if (step.type === 'takeMessage' && step.beep !== null) said.push(step.beep ? 'after a beep' : 'without a beep');
  if (step.type === 'takeMessage' && step.tell) said.push(`telling ${step.tell.length} people`);
  return said.join(', ');
}
