/** Whether a key pressed here is typed into a field rather than meant as a shortcut. */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable=true]') !== null;
}
