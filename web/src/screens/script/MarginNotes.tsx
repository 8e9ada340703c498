import { Box, Button } from '@chakra-ui/react';
import { adviseOn, describeFinding, gradeWords, type Finding } from '@locutor/core/proof';
import { CircleAlert, Info, Lightbulb } from 'lucide-react';
import { createContext, memo, useContext, useMemo, useState, type ReactNode } from 'react';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { useOpenFindings } from '../../draft/useFindings';
import { AcceptFinding } from '../../parts/AcceptFinding';
import { FixButton } from '../../parts/FixButton';
import { FindingsByPlace, type NotedPlace } from './findingSheet';
import { marginNote, useMargin } from './useMargin';

const Notes = createContext(new FindingsByPlace([]));

/** Lets everything on a sheet show what was found at it. */
export function WithNotes({ children }: { readonly children: ReactNode }) {
  const findings = useOpenFindings();
  const margin = useMargin();
  return (
    <Notes value={useMemo(() => new FindingsByPlace(findings), [findings])}>
      <div ref={margin}>{children}</div>
    </Notes>
  );
}

interface Props {
  /** The sheet or path whose findings belong here; where nothing is found it has the width of the others. */
  readonly at?: NotedPlace;
  readonly as?: 'div' | 'li';
  readonly label?: string;
  readonly children: ReactNode;
}

const icons = { fault: CircleAlert, caution: Info, tip: Lightbulb } as const;
const wide = '@container sheet (min-width: 860px)';

/** A part of a sheet with what the proof found at it: in the margin where there is one, below it where not. */
export function Noted({ at, as = 'div', label, children }: Props) {
  const found = useContext(Notes);
  const notes = at === undefined ? [] : found.at(at);
  return (
    <Box
      as={as}
      aria-label={label}
      listStyleType="none"
      css={{ [wide]: { position: 'relative', paddingRight: '260px' } }}
    >
      <Box minW="0">{children}</Box>
      {notes.length > 0 && (
        <Box
          as="ul"
          {...{ [marginNote]: '' }}
          listStyleType="none"
          aria-label="What the proof finds here"
          mb="1"
          css={{
            // Beside its part, which it does not stretch; what is taller moves those below it down.
            [wide]: {
              position: 'absolute',
              top: '6px',
              right: '0',
              // Over the empty margin of the parts below, into which it may reach.
              zIndex: '1',
              width: '236px',
              borderLeftWidth: '2px',
              borderColor: 'petrol.emphasized',
              paddingLeft: '10px',
            },
          }}
        >
          <NotesOf notes={notes} />
        </Box>
      )}
    </Box>
  );
}

/** Cautions and faults one by one; several tips are one line until it is opened. */
function NotesOf({ notes }: { readonly notes: readonly Finding[] }) {
  const [isOpen, setOpen] = useState(false);
  const tips = notes.filter(({ grade }) => grade === 'tip');
  const isFolded = tips.length > 1 && !isOpen;
  return (
    <>
      {notes
        .filter(({ grade }) => grade !== 'tip' || !isFolded)
        .map((finding) => (
          <Note key={finding.key} finding={finding} />
        ))}
      {tips.length > 1 && (
        <li>
          <Button
            size="2xs"
            variant="ghost"
            color="quiet"
            ml="-1.5"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
          >
            <Lightbulb size={13} aria-hidden /> {isOpen ? 'Fold the tips' : `${tips.length} tips`}
          </Button>
        </li>
      )}
    </>
  );
}

const Note = memo(function Note({ finding }: { readonly finding: Finding }) {
  const { names } = useDraftTools();
  const says = useAttendantPart((attendant) => describeFinding(finding, attendant, names));
  const { grade, key, fix } = finding;
  const Icon = icons[grade];
  return (
    <Box
      as="li"
      fontSize="12.5px"
      lineHeight="1.4"
      display="flex"
      gap="1.5"
      py="1"
      color={grade === 'tip' ? 'quiet' : undefined}
    >
      <Box as="span" mt="2px" flexShrink="0">
        <Icon size={13} aria-hidden />
      </Box>
      <Box minW="0">
        <b>{gradeWords[grade]}.</b> {says} {!fix && adviseOn(finding)} <FixButton finding={finding} />
        {grade !== 'fault' && <AcceptFinding accepts={key} grade={grade} />}
      </Box>
    </Box>
  );
});
