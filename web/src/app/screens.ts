import { lazy } from 'react';

/** Where the code of each screen is. A screen is loaded when it is opened, or before that once the first one is quiet. */
const loaders = {
  Today: () => import('../screens/today/Today'),
  Script: () => import('../screens/script/Script'),
  Hours: () => import('../screens/hours/Hours'),
  Year: () => import('../screens/year/Year'),
  Ahead: () => import('../screens/ahead/Ahead'),
  Greetings: () => import('../screens/greetings/Greetings'),
  Sessions: () => import('../screens/greetings/sessions/Sessions'),
  Directory: () => import('../screens/directory/Directory'),
  Starters: () => import('../screens/starters/Starters'),
  Lines: () => import('../screens/lines/Lines'),
  TimeMap: () => import('../screens/timeMap/TimeMap'),
  Messages: () => import('../screens/messages/Messages'),
  Traffic: () => import('../screens/traffic/Traffic'),
  Settings: () => import('../screens/settings/Settings'),
  OnAir: () => import('../screens/onAir/OnAir'),
  PutBack: () => import('../screens/onAir/PutBack'),
  Proof: () => import('../screens/proof/Proof'),
  Rehearsals: () => import('../screens/rehearsals/Rehearsals'),
  Paths: () => import('../screens/paths/Paths'),
  Versions: () => import('../screens/versions/Versions'),
  OneVersion: () => import('../screens/versions/OneVersion'),
  FirstCalls: () => import('../screens/firstCalls/FirstCalls'),
  HandsetPage: () => import('../live/HandsetPage'),
  DeskPage: () => import('../live/DeskPage'),
  Start: () => import('../screens/start/Start'),
};

export const screens = {
  Today: lazy(loaders.Today),
  Script: lazy(loaders.Script),
  Hours: lazy(loaders.Hours),
  Year: lazy(loaders.Year),
  Ahead: lazy(loaders.Ahead),
  Greetings: lazy(loaders.Greetings),
  Sessions: lazy(loaders.Sessions),
  Directory: lazy(loaders.Directory),
  Starters: lazy(loaders.Starters),
  Lines: lazy(loaders.Lines),
  TimeMap: lazy(loaders.TimeMap),
  Messages: lazy(loaders.Messages),
  Traffic: lazy(loaders.Traffic),
  Settings: lazy(loaders.Settings),
  OnAir: lazy(loaders.OnAir),
  PutBack: lazy(loaders.PutBack),
  Proof: lazy(loaders.Proof),
  Rehearsals: lazy(loaders.Rehearsals),
  Paths: lazy(loaders.Paths),
  Versions: lazy(loaders.Versions),
  OneVersion: lazy(loaders.OneVersion),
  FirstCalls: lazy(loaders.FirstCalls),
  HandsetPage: lazy(loaders.HandsetPage),
  DeskPage: lazy(loaders.DeskPage),
  Start: lazy(loaders.Start),
} as const;

const quietAfterMs = 3000;

/**
 * Loads the rest of the application, a screen at a time whenever the browser has nothing else to do, so that every
 * screen can be opened though the server is away by then. The answer stops it.
 */
export function loadTheRest(): () => void {
  const left = Object.values(loaders);
  let isStopped = false;
  const next = (): void => {
    const load = left.shift();
    if (!load || isStopped) return;
    // One that cannot be loaded now is tried again when it is opened.
    void load()
      .catch(() => undefined)
      .finally(() => whenIdle(next));
  };
  const timer = setTimeout(() => whenIdle(next), quietAfterMs);
  return () => {
    isStopped = true;
    clearTimeout(timer);
  };
}

/** Not every browser tells when it is idle (W3C requestIdleCallback). */
function whenIdle(run: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(run, { timeout: 5000 });
  else setTimeout(run, 200);
}
