import { Box, Button, Text } from '@chakra-ui/react';
import { ApiProblem, wordsOf } from '../api/client';

/** Shown instead of what needs something that cannot be loaded: why, and what to do. */
export function NotLoaded({ error, again }: { readonly error: unknown; readonly again: () => void }) {
  const isAway = error instanceof ApiProblem && error.isAway;
  return (
    <Box as="main" maxW="480px" mx="auto" mt="20vh" p="4">
      <Text fontWeight="600">{isAway ? 'Locutor’s server does not answer.' : 'This could not be loaded.'}</Text>
      <Text mt="2">
        {isAway ? 'Start it with “npm start”, then try again. Nothing that was saved is lost.' : wordsOf(error)}
      </Text>
      <Button mt="4" colorPalette="petrol" onClick={again}>
        Try again
      </Button>
    </Box>
  );
}
