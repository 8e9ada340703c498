import { Button } from '@chakra-ui/react';
import { Download } from 'lucide-react';
import { saveFile } from '../../parts/saveFile';

interface Props {
  /** Of the file, without its ending. */
  readonly name: string;
  /** A spreadsheet (RFC 4180); made when it is wanted. */
  readonly csv: () => string;
}

/** Keeps a page's figures as a spreadsheet. */
export function SaveCsv({ name, csv }: Props) {
  return (
    <Button size="sm" variant="outline" bg="sheet" onClick={() => saveFile(`${name}.csv`, 'text/csv', csv())}>
      <Download size={14} aria-hidden /> Save as CSV
    </Button>
  );
}
