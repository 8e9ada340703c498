import { existsSync } from 'node:fs';
import { installDebian } from './debian.mjs';

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Where Chromium is; on Debian it is installed when it is missing. */
export function chromium() {
  const found = [process.env.CHROMIUM, ...places].find((place) => place && existsSync(place));
  if (found) return found;
  console.log('Installing Chromium for the tests.');
  installDebian(['chromium'], 'Chromium is missing. Install it and set CHROMIUM to its path.');
  return places[0];
}
