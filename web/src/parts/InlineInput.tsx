import { chakra } from '@chakra-ui/react';

/** What is typed within a sentence. */
export const InlineInput = chakra('input', {
  base: {
    fieldSizing: 'content',
    minWidth: '2ch',
    fontFamily: 'mono',
    color: 'petrol.fg',
    fontWeight: 500,
    bg: 'transparent',
    borderBottom: '1px dashed',
    borderColor: 'petrol.emphasized',
    borderRadius: '2px',
    textAlign: 'center',
    minHeight: '24px',
    _hover: { bg: 'petrol.subtle' },
    _invalid: { borderColor: 'ink', borderStyle: 'solid', borderWidth: '1px' },
  },
});
