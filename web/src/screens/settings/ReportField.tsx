import { Box, Button, CloseButton, Dialog, Portal, Text } from '@chakra-ui/react';
import type { LineId } from '@locutor/core/line';
import type { ReportPlan } from '@locutor/core/traffic';
import { useState } from 'react';
import { useLines, useReport } from '../../api/resources';
import { InlineSelect } from '../../parts/InlineSelect';
import { PeopleToTell } from './PeopleToTell';

interface Props {
  readonly report: ReportPlan;
  readonly onChange: (report: ReportPlan) => void;
}

/** Who gets a report of Traffic by e-mail, and how often; with a look at what it is like. */
export function ReportField({ report, onChange }: Props) {
  const { data: lines = [] } = useLines();
  const [isOpen, setOpen] = useState(false);
  const { every, lineId, tell } = report;
  return (
    <Box>
      Send a report of Traffic{' '}
      <InlineSelect
        label="How often a report is sent"
        value={every}
        choices={[
          { value: 'never', label: 'never' },
          { value: 'week', label: 'every Monday, of the week before' },
          { value: 'month', label: 'on the first, of the month before' },
        ]}
        onChange={(value) => onChange({ ...report, every: value as ReportPlan['every'] })}
      />
      {every !== 'never' && (
        <>
          , about{' '}
          <InlineSelect
            label="Line of the report"
            value={lineId ?? 'all'}
            choices={[
              { value: 'all', label: 'all lines together' },
              ...lines.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(value) => onChange({ ...report, lineId: value === 'all' ? null : (value as LineId) })}
          />
          , to:
          <PeopleToTell chosen={tell} onChange={(chosen) => onChange({ ...report, tell: chosen })} />
          <Button mt="2" size="sm" variant="outline" bg="sheet" onClick={() => setOpen(true)}>
            Look at the last one
          </Button>
          {isOpen && <Preview every={every} lineId={lineId} onClose={() => setOpen(false)} />}
        </>
      )}
    </Box>
  );
}

interface PreviewProps {
  readonly every: 'week' | 'month';
  readonly lineId: LineId | null;
  readonly onClose: () => void;
}

/** The report as it is mailed, in a frame of its own that nothing gets out of. */
function Preview({ every, lineId, onClose }: PreviewProps) {
  const { data, error } = useReport(every, lineId);
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()} size="lg">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>{data?.subject ?? 'The report'}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              {error && <Text role="alert">The report could not be made. {String(error.message)}</Text>}
              {!data && !error && <Text color="quiet">Counting the calls …</Text>}
              {data && (
                <iframe
                  title={data.subject}
                  srcDoc={data.html}
                  sandbox=""
                  style={{ width: '100%', height: '60vh', border: '1px solid var(--chakra-colors-hairline)' }}
                />
              )}
              {data && (
                <Box asChild mt="2">
                  <details>
                    <summary>As plain text, for mail programs without pictures</summary>
                    <Box asChild fontFamily="mono" fontSize="12px" overflow="auto" maxH="240px" whiteSpace="pre">
                      <pre tabIndex={0}>{data.text}</pre>
                    </Box>
                  </details>
                </Box>
              )}
            </Dialog.Body>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
