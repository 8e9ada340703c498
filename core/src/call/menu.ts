import { findSheet, type Key, type Menu, type SheetId, type Slot } from '../line';
import { endCall } from './end';
import { note, play, sayThen, setPhase, startTimer, type Run } from './run';
import type { MenuSpeaking, MenuWaiting, Next, Tries } from './state';
import { partItems, sheetItems } from './words';

/** Says a menu; keys count meanwhile if the menu allows it. */
export function sayMenu(run: Run, sheetId: SheetId, tries: Tries): void {
  const items = sheetItems(run.script, sheetId);
  if (items.length === 0) return waitForKey(run, { sheetId, tries });
  setPhase(run, { type: 'menuSpeaking', sheetId, tries, playId: play(run, items) });
}

export function waitForKey(run: Run, { sheetId, tries }: Pick<MenuSpeaking, 'sheetId' | 'tries'>): void {
  const menu = menuOf(run, sheetId);
  if (!menu) return endCall(run, 'pathRanOut');
  setPhase(run, { type: 'menuWaiting', sheetId, tries, timerId: startTimer(run, menu.waitSeconds * 1000) });
}

/** The caller pressed a key in a menu; what comes next is returned when the menu itself does not go on. */
export function takeKey(run: Run, phase: MenuSpeaking | MenuWaiting, key: Key): Next | undefined {
  const menu = menuOf(run, phase.sheetId);
  if (!menu) return { type: 'end', reason: 'pathRanOut' };
  if (phase.type === 'menuSpeaking' && !menu.keysDuringGreeting) {
    note(run, { type: 'key', key, use: 'ignored' });
    return undefined;
  }
  run.effects.push(
    phase.type === 'menuSpeaking'
      ? { type: 'stopPlaying', playId: phase.playId }
      : { type: 'stopTimer', timerId: phase.timerId },
  );
  run.state = { ...run.state, sheetsWithoutKey: 0 };
  const known = menu.options.some((option) => option.key === key);
  note(run, { type: 'key', key, use: known ? 'option' : 'wrong' });
  if (known) return { type: 'path', place: { slot: { type: 'key', sheetId: menu.id, key }, stepIndex: 0 } };
  return failAt(run, menu, { ...phase.tries, wrongKeys: phase.tries.wrongKeys + 1 }, 'wrongKey');
}

/** The caller pressed nothing; what comes next is returned when the menu itself does not go on. */
export function passSilently(run: Run, { sheetId, tries }: MenuWaiting): Next | undefined {
  const menu = menuOf(run, sheetId);
  if (!menu) return { type: 'end', reason: 'pathRanOut' };
  const silentRounds = tries.silentRounds + 1;
  note(run, { type: 'silence', sheetId, round: silentRounds });
  return failAt(run, menu, { ...tries, silentRounds }, 'silence');
}

/** One try more: the menu is said again, or its path for those who cannot manage is taken. */
function failAt(run: Run, menu: Menu, tries: Tries, how: 'silence' | 'wrongKey'): Next | undefined {
  const enough = how === 'silence' ? tries.silentRounds >= menu.silentRounds : tries.wrongKeys >= menu.wrongKeys;
  const slot: Slot = { type: how, sheetId: menu.id };
  if (enough) return { type: 'path', place: { slot, stepIndex: 0 } };
  const part = how === 'silence' ? 'silenceWords' : 'wrongKeyWords';
  const items = partItems(run.script, menu.id, part, menu[part]);
  if (items.length === 0) return { type: 'menu', sheetId: menu.id, tries };
  sayThen(run, items, { type: 'menu', sheetId: menu.id, tries });
  return undefined;
}

function menuOf(run: Run, sheetId: SheetId): Menu | undefined {
  const sheet = findSheet(run.script.attendant, sheetId);
  return sheet?.type === 'menu' ? sheet : undefined;
}
