import { lazy, Suspense } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { useLines } from '../api/resources';
import { DraftProvider } from '../draft/DraftProvider';
import { NotLoaded } from '../parts/NotLoaded';
import { Notices } from '../parts/notices';
import { useServerChanges } from '../saving/useServerChanges';
import { Frame } from './Frame';
import { lineAt } from './lineAt';

const Today = lazy(() => import('../screens/today/Today'));
const Script = lazy(() => import('../screens/script/Script'));
const Hours = lazy(() => import('../screens/hours/Hours'));
const Year = lazy(() => import('../screens/year/Year'));
const Greetings = lazy(() => import('../screens/greetings/Greetings'));
const Directory = lazy(() => import('../screens/directory/Directory'));
const Starters = lazy(() => import('../screens/starters/Starters'));
const Lines = lazy(() => import('../screens/lines/Lines'));
const TimeMap = lazy(() => import('../screens/timeMap/TimeMap'));
const Messages = lazy(() => import('../screens/messages/Messages'));
const Traffic = lazy(() => import('../screens/traffic/Traffic'));
const Settings = lazy(() => import('../screens/settings/Settings'));
const OnAir = lazy(() => import('../screens/onAir/OnAir'));
const Proof = lazy(() => import('../screens/proof/Proof'));
const Rehearsals = lazy(() => import('../screens/rehearsals/Rehearsals'));
const Paths = lazy(() => import('../screens/paths/Paths'));
const Versions = lazy(() => import('../screens/versions/Versions'));
const OneVersion = lazy(() => import('../screens/versions/OneVersion'));
const FirstCalls = lazy(() => import('../screens/firstCalls/FirstCalls'));
const HandsetPage = lazy(() => import('../live/HandsetPage'));
const DeskPage = lazy(() => import('../live/DeskPage'));
const Start = lazy(() => import('../screens/start/Start'));

/** Every screen and its address. */
export function App() {
  const { data: lines, error, mutate } = useLines();
  useServerChanges();
  if (error && !lines) return <NotLoaded error={error} again={() => void mutate()} />;
  if (!lines) return null;
  const { line, basename } = lineAt(lines, window.location.pathname);
  return (
    <BrowserRouter basename={basename}>
      <Notices />
      <Suspense fallback={null}>
        {line ? (
          <Routes>
            <Route path="handset" element={<HandsetPage />} />
            <Route path="desk/:personId?" element={<DeskPage />} />
            <Route
              element={
                <DraftProvider line={line}>
                  <Frame />
                </DraftProvider>
              }
            >
              <Route path="today" element={<Today />} />
              <Route path="script/:sheetId?" element={<Script />} />
              <Route path="time-map" element={<TimeMap />} />
              <Route path="starters" element={<Starters />} />
              <Route path="lines" element={<Lines />} />
              <Route path="hours" element={<Hours />} />
              <Route path="hours/year" element={<Year />} />
              <Route path="greetings/:greetingId?" element={<Greetings />} />
              <Route path="directory" element={<Navigate to="/directory/people" replace />} />
              <Route path="directory/:list/:rowId?" element={<Directory />} />
              <Route path="messages/:part?" element={<Messages />} />
              <Route path="traffic/:callId?" element={<Traffic />} />
              <Route path="settings" element={<Settings />} />
              <Route path="proof" element={<Proof />} />
              <Route path="rehearsals" element={<Rehearsals />} />
              <Route path="rehearsals/paths" element={<Paths />} />
              <Route path="on-air" element={<OnAir />} />
              <Route path="versions" element={<Versions />} />
              <Route path="versions/:versionId" element={<OneVersion />} />
              <Route path="first-calls/:versionId?" element={<FirstCalls />} />
              <Route path="*" element={<Navigate to="/today" replace />} />
            </Route>
          </Routes>
        ) : (
          <Routes>
            <Route path="start" element={<Start />} />
            <Route path="*" element={<Navigate to="/start" replace />} />
          </Routes>
        )}
      </Suspense>
    </BrowserRouter>
  );
}
