import { Box, Text } from '@chakra-ui/react';
import { menuLimits, type Menu, type MenuSettings, type SheetId } from '@locutor/core/line';
import { memo } from 'react';
import { Link } from 'react-router';
import { useDraftTools } from '../../draft/DraftProvider';
import { usePeople } from '../../api/resources';
import { useFindings } from '../../draft/useFindings';
import { FixButton } from '../../parts/FixButton';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { findingSheet } from './findingSheet';
import { Fallback } from './Fallback';

type Props = Pick<Menu, 'extensions' | 'speech' | 'options'> & { readonly sheetId: SheetId };

/** What callers can do in a menu besides pressing its keys. */
export const MenuExtras = memo(function MenuExtras({ sheetId, extensions, speech, options }: Props) {
  const { edit } = useDraftTools();
  const people = usePeople();
  const set = (settings: Partial<MenuSettings>) => edit({ type: 'setMenuSettings', sheetId, settings });
  // Offered here even where somebody has said yes to the wait.
  const waits = useFindings().filter(
    (finding) => finding.rule === 'keyIsFirstDigit' && findingSheet(finding) === sheetId,
  );
  const digits = [...new Set(people.map(({ extension }) => extension.charAt(0)))].sort();
  const waiting = options.filter(({ key }) => digits.includes(key)).map(({ key }) => key);
  return (
    <Fallback title="Besides the keys">
      <Box lineHeight="1.9">
        Callers{' '}
        <InlineSelect
          label="Extensions in this menu"
          value={extensions ? 'yes' : 'no'}
          choices={[
            { value: 'no', label: 'cannot dial an extension' },
            { value: 'yes', label: 'can dial an extension at any time' },
          ]}
          onChange={(value) =>
            set({ extensions: value === 'yes' ? { waitSeconds: menuLimits.extensionWaitSeconds.usual } : null })
          }
        />
        {extensions && (
          <>
            ; wait{' '}
            <InlineNumber
              label="Seconds to wait for a further digit"
              value={extensions.waitSeconds}
              least={menuLimits.extensionWaitSeconds.least}
              most={menuLimits.extensionWaitSeconds.most}
              onChange={(waitSeconds) => set({ extensions: { waitSeconds } })}
            />{' '}
            s for a further digit, or until #
          </>
        )}
        .
      </Box>
      {extensions && (
        <Text fontSize="13px" color="quiet">
          Extensions begin with {digits.join(', ') || 'no digit yet'}.{' '}
          {waiting.length > 0
            ? `Key ${waiting.join(', ')} waits ${extensions.waitSeconds} s before it acts. `
            : 'No key of this menu has to wait. '}
          <Text asChild textDecoration="underline">
            <Link to="/directory/extensions">See the extension plan</Link>
          </Text>{' '}
          {waits.map((finding) => (
            <FixButton key={finding.key} finding={finding} />
          ))}
        </Text>
      )}
      <Box lineHeight="1.9">
        Callers{' '}
        <InlineSelect
          label="Speaking in this menu"
          value={speech ? 'yes' : 'no'}
          choices={[
            { value: 'no', label: 'cannot speak to choose' },
            { value: 'yes', label: 'can say what a key is for, or a name' },
          ]}
          onChange={(value) => set({ speech: value === 'yes' })}
        />
        .
      </Box>
    </Fallback>
  );
});
