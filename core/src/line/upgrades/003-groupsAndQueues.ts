import type { Upgrade } from './upgrade';
import { each, isDocument, type Document } from './walk';

/** Version 2 knew neither groups nor queues, and recorded calls without telling the caller by itself. */
export const groupsAndQueues: Upgrade = {
  to: 3,
  why: 'Groups and queues came with paths for callers they do not connect, and a step that records tells the caller.',
  run: (older) => ({
    ...older,
    sheets: each(older.sheets, sheet),
    paths: each(older.paths, (named) => ({ ...named, steps: path(named.steps) })),
    answering: isDocument(older.answering) ? answering(older.answering) : older.answering,
    fallbacks: [],
  }),
};

function answering(older: Document): Document {
  const rules = each(older.rules, (rule) => ({ ...rule, path: path(rule.path) }));
  return { ...older, rules, otherwise: path(older.otherwise) };
}

function sheet(older: Document): Document {
  const changed: Document = { ...older };
  for (const name of ['silencePath', 'wrongKeyPath', 'afterPath']) if (name in older) changed[name] = path(older[name]);
  if (!('options' in older)) return changed;
  return { ...changed, options: each(older.options, (option) => ({ ...option, path: path(option.path) })) };
}

/** Nobody was told before, unless words of the manager's own did: to be told once too often is the lesser fault. */
function path(steps: unknown): unknown {
  return each(steps, (step) => (step.type === 'record' ? { ...step, tells: step.on === true } : step));
}
