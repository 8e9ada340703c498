import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import {
  defaultVoice,
  languageOf,
  longestWords,
  pauseLimitsMs,
  readPieces,
  tunedVoice,
  tuningOf,
  usualTuning,
  voiceNameOf,
  isVoiceId,
  writePiece,
  type Greeting,
  type Language,
  type Tuning,
  type VoiceId,
  type VoiceName,
} from '../line';
import { right, wrong, type Result } from '../result';
import { sayPart, type SayAs, type SpokenFacts } from '../speech';

/** What of a greeting SSML carries. */
export type SsmlGreeting = Pick<Greeting, 'words' | 'voice'>;

export interface ReadSsml extends SsmlGreeting {
  /** How words are to be said, for the dictionary. */
  readonly sayAs: readonly SayAs[];
  /** Elements that mean nothing here; their text was kept. */
  readonly left: readonly string[];
}

export type SsmlProblem =
  /** Null where it cannot be told in which line. */
  | { readonly type: 'notXml'; readonly line: number | null }
  | { readonly type: 'notSsml' }
  | { readonly type: 'noWords' }
  | { readonly type: 'tooLarge'; readonly mostBytes: number }
  | { readonly type: 'tooLong'; readonly most: number };

const namespace = 'http://www.w3.org/2001/10/synthesis';
/** Live parts are our own: an attribute of another namespace, which other programs pass over. */
const ownNamespace = 'urn:locutor:speech';
const liveAttribute = 'locutor:live';
const mostBytes = 200_000;

/** One element as the XML library takes and gives it, in document order. */
type Node = Readonly<Record<string, unknown>>;
const attributes = ':@';
const options = { preserveOrder: true, ignoreAttributes: false, attributeNamePrefix: '' } as const;

const text = (value: string): Node => ({ '#text': value });
const element = (name: string, children: readonly Node[], of: Readonly<Record<string, string>> = {}): Node => ({
  [name]: children,
  [attributes]: of,
});

/**
 * A greeting as SSML 1.1 (W3C): its voice, pace and pitch, pauses, paragraphs, and how words are said. Live parts
 * stand with what they say now, marked so that they are read back as live.
 */
export function writeSsml(
  { words, voice }: SsmlGreeting,
  facts: SpokenFacts,
  dictionary: readonly SayAs[] = [],
): string {
  const language = languageOf(voice);
  const paragraphs = words.split(/\r?\n/).map((row) => element('p', rowNodes(row, language, facts, dictionary)));
  const speak = element('speak', [element('voice', tuned(paragraphs, tuningOf(voice)), voiceAttributes(voice))], {
    version: '1.1',
    xmlns: namespace,
    'xmlns:locutor': ownNamespace,
    'xml:lang': language,
  });
  const body = String(new XMLBuilder({ ...options, suppressEmptyNode: true }).build([speak]));
  return `<?xml version="1.0" encoding="UTF-8"?>\n${body}\n`;
}

function voiceAttributes(voice: VoiceId): Readonly<Record<string, string>> {
  return { name: voiceNameOf(voice), languages: languageOf(voice) };
}

function tuned(children: readonly Node[], { pace, pitch }: Tuning): readonly Node[] {
  const changed = {
    ...(pace !== usualTuning.pace && { rate: `${pace}%` }),
    ...(pitch !== usualTuning.pitch && { pitch: `${pitch > 0 ? '+' : ''}${pitch}st` }),
  };
  return Object.keys(changed).length > 0 ? [element('prosody', children, changed)] : children;
}

function rowNodes(row: string, language: Language, facts: SpokenFacts, dictionary: readonly SayAs[]): readonly Node[] {
  return readPieces(row).flatMap((piece): readonly Node[] => {
    switch (piece.type) {
      case 'text':
        return withAliases(piece.text, language, dictionary);
      case 'pause':
        return [element('break', [], { time: `${piece.ms}ms` })];
      case 'live':
        return [
          element('w', [text(sayPart(piece.part, facts, language))], {
            [liveAttribute]: writePiece(piece).slice(1, -1),
          }),
        ];
    }
  });
}

/** Words of the dictionary as substitutions; whole words only. */
function withAliases(plain: string, language: Language, dictionary: readonly SayAs[]): readonly Node[] {
  const known = dictionary.filter((entry) => entry.language === null || entry.language === language);
  return plain.split(/([\p{L}\p{N}'’-]+)/u).flatMap((part): readonly Node[] => {
    if (part === '') return [];
    const entry = known.find(({ written }) => written.toLowerCase() === part.toLowerCase());
    return [entry ? element('sub', [text(part)], { alias: entry.said }) : text(part)];
  });
}

/**
 * Reads a greeting from SSML 1.0 or 1.1. What means nothing here is told by its element's name; its text is kept.
 * A document with a DOCTYPE is refused: nothing outside it is ever read.
 */
export function readSsml(source: string, usualVoice: VoiceId = defaultVoice): Result<ReadSsml, SsmlProblem> {
  if (source.length > mostBytes) return wrong({ type: 'tooLarge', mostBytes });
  if (/<!DOCTYPE/i.test(source)) return wrong({ type: 'notSsml' });
  const valid = XMLValidator.validate(source);
  if (valid !== true) return wrong({ type: 'notXml', line: valid.err.line });
  const nodes = nodesIn(source);
  if (!nodes) return wrong({ type: 'notXml', line: null });
  const speak = nodes.find((node) => nameOf(node) === 'speak');
  if (!speak) return wrong({ type: 'notSsml' });
  const reading = new Reading(usualVoice);
  reading.take(speak);
  const words = reading.words();
  if (!saysSomething(words)) return wrong({ type: 'noWords' });
  if (words.length > longestWords) return wrong({ type: 'tooLong', most: longestWords });
  return right({ words, voice: reading.voice(), sayAs: reading.sayAs, left: [...reading.left] });
}

/** Undefined where the parser finds a fault that the validator did not, such as a declaration that does not end. */
function nodesIn(source: string): readonly Node[] | undefined {
  const parser = new XMLParser({ ...options, trimValues: false, parseTagValue: false, htmlEntities: true });
  try {
    return parser.parse(source) as readonly Node[];
  } catch {
    return undefined;
  }
}

function saysSomething(words: string): boolean {
  return readPieces(words).some(
    (piece) => piece.type === 'live' || (piece.type === 'text' && /[\p{L}\p{N}]/u.test(piece.text)),
  );
}

function nameOf(node: Node): string {
  const name = Object.keys(node).find((key) => key !== attributes) ?? '';
  return name === '#text' ? name : (name.split(':').at(-1) ?? '');
}

function childrenOf(node: Node): readonly Node[] {
  const name = Object.keys(node).find((key) => key !== attributes) ?? '';
  const children = node[name];
  return Array.isArray(children) ? (children as readonly Node[]) : [];
}

/** How long a break is that names a strength instead of a time, in ms. */
const strengthMs: Readonly<Record<string, number>> = {
  none: 0,
  'x-weak': 100,
  weak: 250,
  medium: 500,
  strong: 800,
  'x-strong': 1200,
};
/** Elements whose text is not said. */
const unsaid = new Set(['meta', 'metadata', 'lexicon', 'lookup', 'mark', 'desc']);
/** Elements that are only containers here. */
const containers = new Set(['speak', 's', 'w', 'token']);

/** What was read so far; never outlives one reading. */
class Reading {
  readonly sayAs: SayAs[] = [];
  readonly left = new Set<string>();
  private text = '';
  private name: VoiceName;
  private tuning: Tuning = usualTuning;

  constructor(usual: VoiceId) {
    this.name = voiceNameOf(usual);
  }

  words(): string {
    const rows = this.text.split('\n').map((row) => row.replace(/[ \t\r]+/g, ' ').trim());
    return rows.filter((row) => row !== '').join('\n');
  }

  voice(): VoiceId {
    return tunedVoice(this.name, this.tuning);
  }

  take(node: Node): void {
    const name = nameOf(node);
    const of = (node[attributes] ?? {}) as Readonly<Record<string, string>>;
    if (name === '#text') return this.say(String(node['#text']).replace(/\s+/g, ' '));
    if (name.startsWith('?')) return;
    const live = of[liveAttribute];
    if (live !== undefined && readPieces(`{${live}}`)[0]?.type === 'live') return this.say(`{${live}}`);
    switch (name) {
      case 'p':
        this.say('\n');
        this.takeAll(node);
        return this.say('\n');
      case 'break':
        return this.pause(of);
      case 'sub':
        if (of.alias) this.sayAs.push({ written: plainText(node), said: of.alias, language: null });
        return this.takeAll(node);
      case 'voice':
        if (isVoiceId(of.name)) this.name = voiceNameOf(of.name);
        else this.left.add('voice');
        return this.takeAll(node);
      case 'prosody':
        this.tune(of);
        return this.takeAll(node);
      default:
        if (!containers.has(name)) this.left.add(name);
        if (!unsaid.has(name)) this.takeAll(node);
    }
  }

  private takeAll(node: Node): void {
    for (const child of childrenOf(node)) this.take(child);
  }

  private say(words: string): void {
    this.text += words;
  }

  private pause({ time = '', strength = 'medium' }: Readonly<Record<string, string>>): void {
    const [, value, unit] = /^\+?(\d*\.?\d+)(ms|s)$/.exec(time) ?? [];
    const ms = value === undefined ? (strengthMs[strength] ?? 0) : Number(value) * (unit === 's' ? 1000 : 1);
    if (ms < pauseLimitsMs.least) return;
    this.say(writePiece({ type: 'pause', ms: Math.min(pauseLimitsMs.most, Math.round(ms)) }));
  }

  /** Pace in percent and pitch in half tones can be carried; other ways of saying them are told. */
  private tune({ rate, pitch, ...others }: Readonly<Record<string, string>>): void {
    const pace = /^(\d+(?:\.\d+)?)%$/.exec(rate ?? '')?.[1];
    const steps = /^([+-]\d+(?:\.\d+)?)st$/.exec(pitch ?? '')?.[1];
    this.tuning = {
      pace: pace === undefined ? this.tuning.pace : Number(pace),
      pitch: steps === undefined ? this.tuning.pitch : Number(steps),
    };
    const isCarried = (rate === undefined || pace !== undefined) && (pitch === undefined || steps !== undefined);
    if (!isCarried || Object.keys(others).length > 0) this.left.add('prosody');
  }
}

function plainText(node: Node): string {
  return childrenOf(node)
    .map((child) => (nameOf(child) === '#text' ? String(child['#text']) : plainText(child)))
    .join('')
    .trim();
}
