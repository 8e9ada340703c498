import type { Upgrade } from './upgrade';
import { each, isDocument, type Document } from './walk';

const pathsOfSheet = ['silencePath', 'wrongKeyPath', 'afterPath'];

/** Version 1 knew six steps, sheets in the attendant's voice, and answering rules for periods only. */
export const everyStep: Upgrade = {
  to: 2,
  why: 'Ringing got words before and what is heard meanwhile, messages a beep and who is told, sheets a voice, menus extension dialling and speech, the answering order caller lists, and paths names of their own.',
  run: (older) => ({
    ...older,
    sheets: each(older.sheets, sheet),
    paths: [],
    answering: isDocument(older.answering)
      ? {
          ...older.answering,
          rules: each(older.answering.rules, (rule) => ({ type: 'period', ...rule, path: path(rule.path) })),
          otherwise: path(older.answering.otherwise),
        }
      : older.answering,
  }),
};

function sheet(older: Document): Document {
  const changed: Document = { ...older, voice: null };
  for (const name of pathsOfSheet) if (name in older) changed[name] = path(older[name]);
  if (older.type !== 'menu') return changed;
  const options = each(older.options, (option) => ({ ...option, path: path(option.path) }));
  return { ...changed, options, extensions: null, speech: false };
}

function path(steps: unknown): unknown {
  return each(steps, (step) => {
    if (step.type === 'ring') return { ...step, before: '', hear: { type: 'ringback' } };
    if (step.type === 'takeMessage') return { ...step, beep: null, tell: null };
    return step;
  });
}
