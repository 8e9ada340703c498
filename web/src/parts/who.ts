const place = 'locutor.by';
const nobodyNamed = 'Somebody in the office';

/** Who uses this browser, as last said here. */
export const whoIsIt = (): string => localStorage.getItem(place) ?? nobodyNamed;
export const rememberWho = (by: string): void => localStorage.setItem(place, by);
