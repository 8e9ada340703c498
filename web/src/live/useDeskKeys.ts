import type { DeskDoing } from '@locutor/core/exchange';
import { isKey } from '@locutor/core/line';
import { isTyping } from '../parts/isTyping';
import type { DeskPhone } from './deskPhone';
import { useKeyDown } from '../parts/useKeyDown';

/** Lets the digits of the keyboard press the keys of a desk phone that can be pressed now. */
export function useDeskKeys(phone: DeskPhone, doing: DeskDoing | undefined): void {
  const takesKeys = doing?.type === 'calling' || (doing?.type === 'rung' && doing.isAccepting);
  useKeyDown(
    (event) => {
      if (!isKey(event.key) || isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopPropagation();
      phone.press(event.key);
    },
    { first: true, isOff: !takesKeys },
  );
}
