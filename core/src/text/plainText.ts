/** What a screen or a telephone cannot show: control characters (Unicode category Cc) but for line breaks. */
// eslint-disable-next-line no-control-regex
const controls = /[\u0000-\u0009\u000b-\u001f\u007f-\u009f]+/g;
/** What makes text read in another order than it is written: bidirectional formatting (UAX #9, section 2). */
const reordering = /[\u202a-\u202e\u2066-\u2069]/g;
const lineBreaks = /\r\n?|[\u0085\u2028\u2029]/g;

/** Text as it is kept where it may have several lines: nothing in it that does not show. */
export function plainText(text: string): string {
  return text.replace(lineBreaks, '\n').replace(controls, ' ').replace(reordering, '').toWellFormed();
}

/** Text as it is kept where it is a name: one line. */
export function plainName(text: string): string {
  return plainText(text).replace(/\s*\n\s*/g, ' ');
}
