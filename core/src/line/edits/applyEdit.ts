import { unreachable } from '../../result';
import type { Attendant } from '../attendant';
import { addRule, moveRule, removeRule } from './answeringEdits';
import type { Edit } from './edit';
import { addNamedPath, removeNamedPath, renameNamedPath } from './namedPathEdits';
import { replaceEverywhere } from './replaceEverywhere';
import { setPath } from './setPath';
import * as sheets from './sheetEdits';

/**
 * The attendant after an edit; the one given stays as it was.
 * @throws Error when the edit names something that is not in the attendant.
 */
export function applyEdit(attendant: Attendant, edit: Edit): Attendant {
  switch (edit.type) {
    case 'addSheet':
      return sheets.addSheet(attendant, edit);
    case 'moveSheet':
      return sheets.moveSheet(attendant, edit);
    case 'setSheetVoice':
      return sheets.setSheetVoice(attendant, edit);
    case 'removeSheet':
      return sheets.removeSheet(attendant, edit.sheetId);
    case 'renameSheet':
      return sheets.renameSheet(attendant, edit.sheetId, edit.name);
    case 'setWords':
      return sheets.setWords(attendant, edit);
    case 'setMenuSettings':
      return sheets.setMenuSettings(attendant, edit);
    case 'addKey':
      return sheets.addKey(attendant, edit);
    case 'removeKey':
      return sheets.removeKey(attendant, edit);
    case 'moveKey':
      return sheets.moveKey(attendant, edit);
    case 'reorderKey':
      return sheets.reorderKey(attendant, edit);
    case 'setOption':
      return sheets.setOption(attendant, edit);
    case 'setTake':
      return sheets.setTake(attendant, edit);
    case 'setPath':
      return setPath(attendant, edit);
    case 'setVoice':
      return sheets.setVoice(attendant, edit.voice);
    case 'addRule':
      return addRule(attendant, edit);
    case 'removeRule':
      return removeRule(attendant, edit);
    case 'moveRule':
      return moveRule(attendant, edit);
    case 'addNamedPath':
      return addNamedPath(attendant, edit);
    case 'removeNamedPath':
      return removeNamedPath(attendant, edit.pathId);
    case 'renameNamedPath':
      return renameNamedPath(attendant, edit.pathId, edit.name);
    case 'replaceEverywhere':
      return replaceEverywhere(attendant, edit);
    case 'together':
      return edit.edits.reduce(applyEdit, attendant);
    case 'replace':
      return edit.attendant;
    default:
      return unreachable(edit);
  }
}
