/** Whether a key pressed here is typed into a field rather than meant as a shortcut. */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable=true]') !== null;
}

const withoutText = ['checkbox', 'radio', 'button', 'submit', 'range', 'color', 'file'];

/** Whether text is typed here, so that undoing is the field's own. */
export function isInText(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return !withoutText.includes(target.type);
  return target instanceof HTMLElement && target.closest('textarea, [contenteditable=true]') !== null;
}
