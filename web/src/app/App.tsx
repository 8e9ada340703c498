import { Suspense, useEffect } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { useLines } from '../api/resources';
import { DraftProvider } from '../draft/DraftProvider';
import { ProofReading } from '../draft/ProofReading';
import { NotLoaded } from '../parts/NotLoaded';
import { Notices } from '../parts/notices';
import { useServerChanges } from '../saving/useServerChanges';
import { Frame } from './Frame';
import { lineAt } from './lineAt';
import { loadTheRest, screens } from './screens';

/** Every screen and its address. */
export function App() {
  const { data: lines, error, mutate } = useLines();
  useServerChanges();
  useEffect(loadTheRest, []);
  if (error && !lines) return <NotLoaded error={error} again={() => void mutate()} />;
  if (!lines) return null;
  const { line, basename } = lineAt(lines, window.location.pathname);
  return (
    <BrowserRouter basename={basename}>
      <Notices />
      <Suspense fallback={null}>
        {line ? (
          <Routes>
            {/* Where the line was just made, perhaps in another window: its script is what comes next. */}
            <Route path="start" element={<Navigate to="/script" replace />} />
            <Route path="handset" element={<screens.HandsetPage />} />
            <Route path="desk/:personId?" element={<screens.DeskPage />} />
            <Route
              element={
                <DraftProvider line={line}>
                  <ProofReading />
                  <Frame />
                </DraftProvider>
              }
            >
              <Route path="today" element={<screens.Today />} />
              <Route path="script/:sheetId?" element={<screens.Script />} />
              <Route path="time-map" element={<screens.TimeMap />} />
              <Route path="starters" element={<screens.Starters />} />
              <Route path="lines" element={<screens.Lines />} />
              <Route path="hours" element={<screens.Hours />} />
              <Route path="hours/year" element={<screens.Year />} />
              <Route path="hours/ahead" element={<screens.Ahead />} />
              <Route path="greetings/sessions/:sessionId?" element={<screens.Sessions />} />
              <Route path="greetings/:greetingId?" element={<screens.Greetings />} />
              <Route path="directory" element={<Navigate to="/directory/people" replace />} />
              <Route path="directory/:list/:rowId?" element={<screens.Directory />} />
              <Route path="messages/:part?" element={<screens.Messages />} />
              <Route path="traffic/*" element={<screens.Traffic />} />
              <Route path="settings" element={<screens.Settings />} />
              <Route path="proof" element={<screens.Proof />} />
              <Route path="rehearsals" element={<screens.Rehearsals />} />
              <Route path="rehearsals/paths" element={<screens.Paths />} />
              <Route path="on-air" element={<screens.OnAir />} />
              <Route path="versions" element={<screens.Versions />} />
              <Route path="versions/:versionId" element={<screens.OneVersion />} />
              <Route path="versions/:versionId/put-back" element={<screens.PutBack />} />
              <Route path="first-calls/:versionId?" element={<screens.FirstCalls />} />
              <Route path="*" element={<Navigate to="/today" replace />} />
            </Route>
          </Routes>
        ) : (
          <Routes>
            <Route path="start" element={<screens.Start />} />
            <Route path="*" element={<Navigate to="/start" replace />} />
          </Routes>
        )}
      </Suspense>
    </BrowserRouter>
  );
}
