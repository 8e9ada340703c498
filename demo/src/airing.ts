import type { CallScript } from '@locutor/core/call';
import { sheetId, type Attendant, type Line, type Names } from '@locutor/core/line';
import type { Finding, RuleName } from '@locutor/core/proof';
import { starterSet } from '@locutor/core/rehearsals';
import type { Ask } from './api';

/** Keeps a draft and gives its revision. */
export async function saveDraft(ask: Ask, line: Line, revision: number, attendant: Attendant): Promise<number> {
  const saved = await ask<{ revision: number }>('PUT', `/api/lines/${line.id}/draft`, { revision, attendant });
  return saved.revision;
}

/** Why what the proof cautions about is meant so. */
const reasons: Partial<Record<RuleName, string>> = {
  keyIsFirstDigit: 'Few dial an extension; two seconds do no harm.',
  recordingOutOfStep: 'Juno records it again on Friday.',
};

/** Puts the draft on air with a yes to its cautions, each with its reason. */
export async function putOnAir(ask: Ask, line: Line, draftRevision: number, by: string, note: string): Promise<void> {
  const findings = await ask<Finding[]>('GET', `/api/lines/${line.id}/proof`);
  const yes = findings
    .filter(({ grade }) => grade === 'caution')
    .map(({ key, rule }) => ({ key, reason: reasons[rule] ?? 'It is meant so.' }));
  await ask('POST', `/api/lines/${line.id}/versions`, { draftRevision, by, note, yes });
}

/** The attendant as it was before: no French yet, and a longer welcome. */
export function earlierAttendant(attendant: Attendant): Attendant {
  const french = sheetId.create('french');
  return {
    ...attendant,
    sheets: attendant.sheets
      .filter(({ id }) => id !== french)
      .map((sheet) =>
        sheet.type === 'menu' && sheet.id === sheetId.create('welcome')
          ? {
              ...sheet,
              openingWords: 'Thank you for calling Larkspur Cove Boatyard, on the coast of Maine since 1968.',
              closingWords: 'If a boat is taking on water at its mooring, press star now.',
              options: sheet.options.filter(({ key }) => key !== '9' && key !== '7'),
            }
          : sheet,
      ),
  };
}

/** A set of rehearsals from the paths of the draft. */
export async function rehearse(ask: Ask, line: Line): Promise<void> {
  const script = await ask<CallScript>('GET', `/api/lines/${line.id}/script`);
  const own = script.lines.find(({ id }) => id === line.id);
  const named = [
    script.people,
    script.groups,
    script.queues,
    script.boxes,
    script.contacts,
    script.callerLists,
    script.lines,
    own?.hours.periods ?? [],
    own?.hours.special ?? [],
  ].flat();
  const names: Names = Object.fromEntries(named.map(({ id, name }) => [id, name]));
  const rehearsals = starterSet(script, Date.now(), names).map(({ name, scene, expects }) => ({
    name,
    scene,
    expects,
  }));
  await ask('POST', `/api/lines/${line.id}/rehearsals`, { rehearsals: rehearsals.slice(0, 24) });
}
