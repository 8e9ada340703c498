import { Button, Menu, Portal } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import { useEffect, useState } from 'react';

const papers = ['A4', 'Letter'] as const;
type Paper = (typeof papers)[number];

/** Prints the page as a report: what it asks and answers, without the frame around it, dark on white. */
export function PrintPage() {
  const [paper, setPaper] = useState<Paper | null>(null);
  return (
    <>
      <Menu.Root>
        <Menu.Trigger asChild>
          <Button size="sm" variant="outline" bg="sheet" className="notPrinted">
            <Printer size={14} aria-hidden /> Print
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content>
              {papers.map((each) => (
                <Menu.Item key={each} value={each} onClick={() => setPaper(each)}>
                  On {each} paper
                </Menu.Item>
              ))}
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {paper && <OnPaper paper={paper} onDone={() => setPaper(null)} />}
    </>
  );
}

interface Props {
  readonly paper: Paper;
  readonly onDone: () => void;
}

/** As wide as a screen of the usual width, on the width of a sheet. */
const zoom = 0.64;

function OnPaper({ paper, onDone }: Props) {
  useEffect(() => {
    const { classList } = document.documentElement;
    const wasDark = classList.contains('dark');
    classList.remove('dark');
    const done = (): void => {
      if (wasDark) classList.add('dark');
      onDone();
    };
    window.addEventListener('afterprint', done);
    const timer = setTimeout(() => window.print(), 50);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('afterprint', done);
      if (wasDark) classList.add('dark');
    };
  }, [onDone]);
  return (
    <style>{`
      @page { size: ${paper}; margin: 12mm; }
      @media print {
        body *:not(:has(#work)):not(#work):not(#work *) { display: none !important; }
        body, body *:has(#work), #work { display: block !important; height: auto !important; overflow: visible !important; }
        html, body { background: white !important; }
        #work { zoom: ${zoom}; print-color-adjust: exact; background: white; }
        #work .printedOnly { display: block !important; }
        #work .notPrinted, #work button { display: none !important; }
        #work select { border: 0 !important; color: inherit !important; font-weight: inherit !important; }
        #work table, #work [role='figure'], #work section { break-inside: avoid; }
        #work a { text-decoration: none !important; color: inherit !important; }
      }
    `}</style>
  );
}
