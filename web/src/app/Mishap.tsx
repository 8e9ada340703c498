import { Box, Button, Text } from '@chakra-ui/react';
import { Component, type ReactNode } from 'react';

/** Keeps a mistake in one part of the page from taking the rest of it away; around all of it, from a blank page. */
export class Mishap extends Component<{ readonly children: ReactNode }, { readonly says: string | null }> {
  override readonly state = { says: null };

  static getDerivedStateFromError(error: unknown): { says: string } {
    return { says: error instanceof Error ? error.message : String(error) };
  }

  override render(): ReactNode {
    if (this.state.says === null) return this.props.children;
    return (
      <Box p="6" role="alert">
        <Text fontWeight="600">This part of the page stopped working.</Text>
        <Text mt="1">What was saved is safe. Reload the page to go on. ({this.state.says})</Text>
        <Button mt="3" colorPalette="petrol" onClick={() => window.location.reload()}>
          Reload
        </Button>
      </Box>
    );
  }
}
