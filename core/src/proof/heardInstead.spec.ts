import { applyEdit, takeId, type HeardPart } from '../line';
import { answering, attendant, fuelId, message } from '../testing/boatyard';
import { proofOf } from '../testing/proofOf';
import type { ProofTake } from '.';

const use = { takeId: takeId.create('fuel'), byVoice: false };
const recorded = applyEdit(attendant, { type: 'setTake', sheetId: fuelId, part: { type: 'whole' }, take: use });

/** What the proof finds by its rules for words, where a recording of the fuel dock says this. */
function foundIn(parts: readonly HeardPart[] | null, byVoice = false): readonly string[] {
  const take: ProofTake = {
    ...{ id: use.takeId, faults: [], lengthMs: 4000 },
    says: { words: 'The fuel dock opens at eight.', options: [], live: [] },
    verdict: parts && { type: 'other', by: 'listening', parts },
  };
  const script = answering(message);
  const [line] = script.lines;
  if (!line) throw new Error('no line');
  const sheets = recorded.sheets.map((sheet) =>
    sheet.id === fuelId ? { ...sheet, takes: { whole: { ...use, byVoice } } } : sheet,
  );
  const own = { ...script, lines: [{ ...line, attendant: { ...recorded, sheets } }] };
  return proofOf(own, { takes: [take] }).flatMap(({ rule, at }) =>
    at.type === 'sheet' && at.sheetId === fuelId ? [rule] : [],
  );
}

describe('the proof of words that are recorded', () => {
  it('reads what the recording says, and not what is written for it', () => {
    const lobster = [{ text: 'Our lobster is $12 today.', insteadOf: 'The fuel dock opens at eight.' }];
    expect(foundIn(null)).not.toContain('priceInWords');
    expect(foundIn(lobster)).toEqual(expect.arrayContaining(['recordingSaysOther', 'priceInWords']));
  });

  it('reads what is written while the voice speaks', () => {
    const lobster = [{ text: 'Our lobster is $12 today.', insteadOf: 'The fuel dock opens at eight.' }];
    expect(foundIn(lobster, true)).not.toContain('priceInWords');
    expect(foundIn(lobster, true)).not.toContain('recordingSaysOther');
  });

  it('reads what a recording of any other text says', () => {
    const bye = { language: 'en', words: 'Goodbye.', take: use, live: [] } as const;
    const take: ProofTake = {
      ...{ id: use.takeId, faults: [], lengthMs: 2000, says: { words: 'Goodbye.', options: [], live: [] } },
      verdict: { type: 'other', by: 'manager', parts: [{ text: 'Lobster is $12 today.', insteadOf: 'Goodbye.' }] },
    };
    const script = answering([{ type: 'hangUp', words: 'Goodbye.' }]);
    const found = proofOf(script, { takes: [take], recordings: [bye] }).map(({ rule }) => rule);
    expect(found).toEqual(expect.arrayContaining(['recordingSaysOther', 'priceInWords']));
    expect(proofOf(script, { takes: [take] }).map(({ rule }) => rule)).not.toContain('priceInWords');
  });

  it('reads what a recording says that stands beside live parts', () => {
    const clip = { language: 'en', words: 'Thank you for calling', take: use, live: [] } as const;
    const take: ProofTake = {
      ...{ id: use.takeId, faults: [], lengthMs: 2000, says: { words: clip.words, options: [], live: [] } },
      verdict: { type: 'other', by: 'manager', parts: [{ text: 'Lobster is $12 today at', insteadOf: clip.words }] },
    };
    const script = answering([{ type: 'hangUp', words: 'Thank you for calling {business}. Goodbye.' }]);
    const found = (more: object) => proofOf(script, { takes: [take], ...more }).map(({ rule }) => rule);
    expect(found({ recordings: [clip] })).toEqual(expect.arrayContaining(['recordingSaysOther', 'priceInWords']));
    expect(found({ recordings: [{ ...clip, take: { ...use, byVoice: true } }] })).not.toContain('priceInWords');
    expect(found({})).not.toContain('recordingSaysOther');
  });
});
