import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { keys, longestLabel, type Key, type Option, type SheetId, type VoiceId } from '@locutor/core/line';
import { phrasesOf } from '@locutor/core/speech';
import { percent } from '@locutor/core/traffic';
import { ArrowDown, ArrowUp, CopyPlus, Eye, EyeOff, GripVertical, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { tellDone } from '../../parts/notices';
import { SmallButton } from '../../parts/SmallButton';
import { PathSentence } from '../../path/PathSentence';
import { keyFieldId } from './goToKey';

interface Props {
  readonly sheetId: SheetId;
  readonly option: Option;
  readonly index: number;
  readonly count: number;
  /** A key that the menu does not use yet; undefined when all are. */
  readonly free: Key | undefined;
  /** The voice of the menu, whose language the option is read out in. */
  readonly voice: VoiceId;
  /** How many callers pressed it in the last four weeks, of so many who came here; undefined where that is not shown. */
  readonly calls?: number | undefined;
  readonly visits?: number | undefined;
}

const keyChoices = keys.map((each) => ({ value: each, label: each }));

/** One key: what is said for it, and what it does. */
export const KeyRow = memo(function KeyRow(props: Props) {
  const { sheetId, option, index, voice, calls, visits } = props;
  const { edit } = useDraftTools();
  const { key, label, readOut } = option;
  const around = wordsAround(option, voice);
  const { listeners, setNodeRef, transform, isDragging } = useSortable({
    id: `${sheetId} ${key}`,
    data: { type: 'option', sheetId, key, index },
  });
  const move = (toIndex: number) => edit({ type: 'reorderKey', sheetId, key, toIndex });
  return (
    <Flex
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), opacity: isDragging ? 0.5 : undefined }}
      gap="2"
      py="2"
      borderTopWidth="1px"
      borderColor="hairline"
      onKeyDown={(event) => {
        // In a step the same keys move the step; it has taken them before they come here.
        if (!event.altKey || event.defaultPrevented) return;
        if (event.key === 'ArrowUp') move(index - 1);
        if (event.key === 'ArrowDown') move(index + 1);
      }}
    >
      <Box
        {...listeners}
        color="quiet"
        cursor="grab"
        pt="1.5"
        ml="-5"
        opacity="0.4"
        _hover={{ opacity: 1 }}
        title="Drag to read this key out earlier or later"
        aria-hidden
      >
        <GripVertical size={14} />
      </Box>
      <Box fontFamily="mono" fontSize="16px" pt="0.5" flexShrink="0">
        <InlineSelect
          label={`Move key ${key} to`}
          value={key}
          choices={keyChoices}
          onChange={(to) => edit({ type: 'moveKey', sheetId, from: key, to: to as Key })}
        />
      </Box>
      {/* The sentence comes before the buttons for those who go through it by key. */}
      <Grid
        flex="1"
        minW="0"
        columnGap="2"
        templateColumns="minmax(0, 1fr) auto"
        templateAreas={'"label buttons" "path path"'}
      >
        <Flex
          gridArea="label"
          align="baseline"
          fontFamily="spoken"
          fontSize="17px"
          color={readOut ? undefined : 'quiet'}
        >
          {around.before && <span style={{ marginRight: 4, whiteSpace: 'nowrap' }}>{around.before}</span>}
          <InlineWords
            id={keyFieldId(sheetId, key)}
            label={`What key ${key} is for`}
            placeholder="sales"
            value={label}
            most={longestLabel}
            fontSize="17px"
            minW="80px"
            maxW="380px"
            onChange={(next) => edit({ type: 'setOption', sheetId, key, option: { label: next } })}
          />
          <Text as="span" truncate title={around.whole}>
            {around.after}
          </Text>
        </Flex>
        <Box gridArea="path">
          <PathSentence slot={{ type: 'key', sheetId, key }} path={option.path} of={`key ${key}`} />
        </Box>
        <Flex gridArea="buttons" align="center">
          {calls !== undefined && visits !== undefined && (
            <Text
              color="quiet"
              fontSize="12.5px"
              fontFamily="mono"
              whiteSpace="nowrap"
              mr="2"
              title={`${calls} of ${visits} callers pressed ${key} in the last four weeks`}
            >
              {calls.toLocaleString()} · {percent(calls, visits)}
            </Text>
          )}
          <KeyButtons {...props} />
        </Flex>
      </Grid>
    </Flex>
  );
});

/** What can be done with a key as a whole. */
function KeyButtons({ sheetId, option, index, count, free }: Props) {
  const { edit, store } = useDraftTools();
  const { key, readOut } = option;
  const move = (toIndex: number) => edit({ type: 'reorderKey', sheetId, key, toIndex });
  const remove = (): void => {
    edit({ type: 'removeKey', sheetId, key });
    tellDone(`Key ${key} was removed.`, store.undo);
  };
  return (
    <Flex
      flexShrink="0"
      color="quiet"
      // Beside another sheet there is no room for these; the keys and dragging still do the same.
      css={{ '@container sheet (max-width: 520px)': { '& .roomy': { display: 'none' } } }}
    >
      <SmallButton
        label={readOut ? `Key ${key} is read out; do not read it out` : `Key ${key} is not read out; read it out`}
        icon={readOut ? <Eye size={14} /> : <EyeOff size={14} />}
        onClick={() => edit({ type: 'setOption', sheetId, key, option: { readOut: !readOut } })}
      />
      <SmallButton
        className="roomy"
        label={`Read key ${key} out earlier`}
        icon={<ArrowUp size={14} />}
        isOff={index === 0}
        onClick={() => move(index - 1)}
      />
      <SmallButton
        className="roomy"
        label={`Read key ${key} out later`}
        icon={<ArrowDown size={14} />}
        isOff={index === count - 1}
        onClick={() => move(index + 1)}
      />
      <SmallButton
        className="roomy"
        label={`Duplicate key ${key}`}
        icon={<CopyPlus size={14} />}
        isOff={!free}
        onClick={() => free && edit({ type: 'addKey', sheetId, option: { ...option, key: free }, atIndex: index + 1 })}
      />
      <SmallButton label={`Remove key ${key}`} icon={<Trash2 size={14} />} onClick={remove} />
    </Flex>
  );
}

const mark = '\u2063';

/** What is said around a label in the menu's language: "For", ", press 1."; some labels need nothing before them. */
function wordsAround({ label, key }: Option, voice: VoiceId) {
  const { option } = phrasesOf(voice);
  const whole = option(label, key);
  const [before = '', after = ''] = option(mark, key).split(mark);
  const startsItself = label.trim() !== '' && whole.toLowerCase().startsWith(label.trim().toLowerCase().slice(0, 12));
  return { whole, before: startsItself ? '' : before.trim(), after };
}
