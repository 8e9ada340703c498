import { Box } from '@chakra-ui/react';
import { history, historyKeymap, standardKeymap } from '@codemirror/commands';
import { Annotation, Compartment, EditorState, Transaction } from '@codemirror/state';
import { EditorView, keymap, placeholder as placeholderOf } from '@codemirror/view';
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react';
import { chips, type ChipWords } from './chips';

export interface WordsEditorHandle {
  /** Puts text where the cursor is, in place of what is selected. */
  readonly insert: (text: string) => void;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly placeholder: string;
  readonly isWrong: boolean;
  /** How live parts are shown. */
  readonly chipWords: ChipWords;
  readonly onChange: (words: string) => void;
  readonly ref?: Ref<WordsEditorHandle>;
}

const focusAfterMs = 60;

/** Marks a change that came from outside, such as undo or another window. */
const fromOutside = Annotation.define<true>();

const looks = EditorView.theme({
  '&': { fontSize: '17px', background: 'transparent' },
  '&.cm-focused': { outline: 'none' },
  '.cm-scroller': { fontFamily: 'inherit', lineHeight: '1.4', maxHeight: '320px' },
  '.cm-content': { padding: '4px 0', caretColor: 'currentColor' },
  '.cm-line': { padding: '0 8px' },
  '.cm-placeholder': { fontStyle: 'italic' },
});

/** Plain words in a field that grows, in which live parts and pauses stand as chips. */
export function WordsEditor({ label, value, placeholder, isWrong, chipWords, onChange, ref }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView>(null);
  const changed = useRef(onChange);
  const chipsPart = useRef(new Compartment());
  const attributes = useRef(new Compartment());
  const first = useRef({ value, chipWords, label, placeholder });
  useEffect(() => {
    changed.current = onChange;
  });

  useEffect(() => {
    if (!host.current) return undefined;
    const editor = new EditorView({
      parent: host.current,
      state: EditorState.create({
        doc: first.current.value,
        extensions: [
          EditorView.lineWrapping,
          history(),
          keymap.of([...standardKeymap, ...historyKeymap]),
          placeholderOf(first.current.placeholder),
          chipsPart.current.of(chips(first.current.chipWords)),
          attributes.current.of(EditorView.contentAttributes.of({ 'aria-label': first.current.label })),
          EditorView.contentAttributes.of({ spellcheck: 'true' }),
          looks,
          EditorView.updateListener.of(({ docChanged, transactions, state }) => {
            const isOurs = transactions.some((each) => each.annotation(fromOutside));
            if (docChanged && !isOurs) changed.current(state.doc.toString());
          }),
        ],
      }),
    });
    view.current = editor;
    return () => editor.destroy();
  }, []);

  useEffect(() => {
    const editor = view.current;
    if (!editor || editor.state.doc.toString() === value) return;
    const { anchor } = editor.state.selection.main;
    editor.dispatch({
      changes: { from: 0, to: editor.state.doc.length, insert: value },
      selection: { anchor: Math.min(anchor, value.length) },
      annotations: [fromOutside.of(true), Transaction.addToHistory.of(false)],
    });
  }, [value]);

  useEffect(() => {
    view.current?.dispatch({ effects: chipsPart.current.reconfigure(chips(chipWords)) });
  }, [chipWords]);

  useEffect(() => {
    const now = EditorView.contentAttributes.of({ 'aria-label': label, ...(isWrong && { 'aria-invalid': 'true' }) });
    view.current?.dispatch({ effects: attributes.current.reconfigure(now) });
  }, [label, isWrong]);

  useImperativeHandle(ref, () => ({
    insert: (text) => {
      const editor = view.current;
      if (!editor) return;
      editor.dispatch(editor.state.replaceSelection(text));
      // The menu it was chosen from gives the focus back to its button first.
      setTimeout(() => editor.focus(), focusAfterMs);
    },
  }));

  return (
    <Box
      ref={host}
      fontFamily="spoken"
      ml="-2"
      w="calc(100% + 8px)"
      borderWidth="1px"
      borderColor="transparent"
      borderRadius="sm"
      _hover={{ borderColor: 'hairline' }}
      _focusWithin={{ borderColor: 'petrol.focusRing' }}
      css={{ '& .cm-placeholder': { color: 'quiet' }, '& .chip': chipLook }}
    />
  );
}

const chipLook = {
  fontFamily: 'body',
  fontSize: '13px',
  bg: 'petrol.subtle',
  color: 'petrol.fg',
  borderRadius: '4px',
  px: '6px',
  py: '1px',
  mx: '1px',
  whiteSpace: 'nowrap',
  cursor: 'default',
  '&[data-kind=pause]': { bg: 'sunk', color: 'quiet' },
  '&[data-missing]': { textDecoration: 'line-through' },
} as const;
