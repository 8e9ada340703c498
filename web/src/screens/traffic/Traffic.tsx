import { Navigate, Route, Routes, useParams } from 'react-router';
import { Answered } from './Answered';
import { CallLog } from './CallLog';
import { CallReplay } from './CallReplay';
import { Pressed } from './Pressed';
import { CameToPage } from './CameToPage';
import { CostPage } from './CostPage';
import { WhatIf } from './whatIf/WhatIf';
import { When } from './When';
import { WhoAnswers } from './WhoAnswers';

/** What callers did, as questions: a page each, and every call. */
export default function Traffic() {
  return (
    <Routes>
      <Route index element={<When />} />
      <Route path="pressed" element={<Pressed />} />
      <Route path="answered" element={<Answered />} />
      <Route path="who" element={<WhoAnswers />} />
      <Route path="came" element={<CameToPage />} />
      <Route path="cost" element={<CostPage />} />
      <Route path="what-if" element={<WhatIf />} />
      <Route path="calls" element={<CallLog />} />
      <Route path="calls/:callId" element={<OneCall />} />
      <Route path="*" element={<Navigate to="/traffic" replace />} />
    </Routes>
  );
}

function OneCall() {
  const { callId = '' } = useParams();
  return <CallReplay callId={callId} />;
}
