/** What a key is for, without the marks that a manager may have put at its end. */
export function asLabel(label: string): string {
  return label.trim().replace(/[.,;:!?]+$/, '');
}

export function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
