import { Box, Flex, Text } from '@chakra-ui/react';
import { keys, longestLabel, type Key, type Menu, type Option } from '@locutor/core/line';
import { optionLine } from '@locutor/core/speech';
import { ArrowDown, ArrowUp, Eye, EyeOff, Trash2 } from 'lucide-react';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { tellDone } from '../../parts/notices';
import { PathSentence } from '../../parts/PathSentence';
import { SmallButton } from '../../parts/SmallButton';
import { keyFieldId } from './goToKey';

interface Props {
  readonly menu: Menu;
  readonly option: Option;
  readonly index: number;
}

/** One key: what is said for it, and what it does. */
export function KeyRow({ menu, option, index }: Props) {
  const { edit, store } = useDraft();
  const { key, label, readOut } = option;
  const sheetId = menu.id;
  const remove = (): void => {
    edit({ type: 'removeKey', sheetId, key });
    tellDone(`Key ${key} was removed.`, store.undo);
  };
  return (
    <Flex as="li" gap="3" py="2" borderTopWidth="1px" borderColor="hairline" aria-label={`Key ${key}`}>
      <Box fontFamily="mono" fontSize="16px" pt="0.5" flexShrink="0">
        <InlineSelect
          label={`Move key ${key} to`}
          value={key}
          choices={keys.map((each) => ({ value: each, label: each }))}
          onChange={(to) => edit({ type: 'moveKey', sheetId, from: key, to: to as Key })}
        />
      </Box>
      <Box flex="1" minW="0">
        <Flex align="baseline" fontFamily="spoken" fontSize="17px" color={readOut ? undefined : 'quiet'}>
          {!startsItself(label) && <span style={{ marginRight: 4 }}>For</span>}
          <InlineWords
            id={keyFieldId(key)}
            label={`What key ${key} is for`}
            placeholder="moorings"
            value={label}
            most={longestLabel}
            fontSize="17px"
            minW="80px"
            maxW="380px"
            onChange={(next) => edit({ type: 'setOption', sheetId, key, option: { label: next } })}
          />
          <Text as="span" truncate title={optionLine(option)}>
            {optionLine(option).replace(/^.*, press/, ', press')}
          </Text>
        </Flex>
        <PathSentence slot={{ type: 'key', sheetId, key }} path={option.path} of={`key ${key}`} />
      </Box>
      <Flex flexShrink="0" align="flex-start" color="quiet">
        <SmallButton
          label={readOut ? `Key ${key} is read out; do not read it out` : `Key ${key} is not read out; read it out`}
          icon={readOut ? <Eye size={14} /> : <EyeOff size={14} />}
          onClick={() => edit({ type: 'setOption', sheetId, key, option: { readOut: !readOut } })}
        />
        <SmallButton
          label={`Read key ${key} out earlier`}
          icon={<ArrowUp size={14} />}
          isOff={index === 0}
          onClick={() => edit({ type: 'reorderKey', sheetId, key, toIndex: index - 1 })}
        />
        <SmallButton
          label={`Read key ${key} out later`}
          icon={<ArrowDown size={14} />}
          isOff={index === menu.options.length - 1}
          onClick={() => edit({ type: 'reorderKey', sheetId, key, toIndex: index + 1 })}
        />
        <SmallButton label={`Remove key ${key}`} icon={<Trash2 size={14} />} onClick={remove} />
      </Flex>
    </Flex>
  );
}

/** A label such as "to leave a message" needs no "For" before it. */
function startsItself(label: string): boolean {
  return /^(to|for)\s/i.test(label);
}
