/** The fields of what was sent that were sent at all: a class of fields has all of them, undefined where missing. */
export function definedOf<Fields extends object>(fields: Fields): Partial<Fields> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<Fields>;
}
