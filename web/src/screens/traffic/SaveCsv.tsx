import { Button } from '@chakra-ui/react';
import { languageOf } from '@locutor/core/line';
import { writeTable, type TableCell } from '@locutor/core/traffic';
import { Download } from 'lucide-react';
import { useLateAttendant } from '../../draft/DraftProvider';
import { saveFile } from '../../parts/saveFile';

interface Props {
  /** Of the file, without its ending. */
  readonly name: string;
  /** The rows of a spreadsheet, in words of the line's language; made when they are wanted. */
  readonly rows: () => readonly (readonly TableCell[])[];
}

/** Keeps a page's figures as a spreadsheet. */
export function SaveCsv({ name, rows }: Props) {
  const { voice } = useLateAttendant();
  const save = (): void => saveFile(`${name}.csv`, 'text/csv', writeTable(rows(), languageOf(voice)));
  return (
    <Button size="sm" variant="outline" bg="sheet" onClick={save}>
      <Download size={14} aria-hidden /> Save as CSV
    </Button>
  );
}
