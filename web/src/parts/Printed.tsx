import { useEffect, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

interface Props {
  /** The sheet as CSS has it: `A4 landscape`, `landscape`. */
  readonly sheet: string;
  /** More rules for the printed page. */
  readonly css?: string;
  readonly onDone: () => void;
  readonly children: ReactNode;
}

/** What goes on paper instead of the screen; opens the browser's print dialog at once. */
export function Printed({ sheet, css = '', onDone, children }: Props) {
  useEffect(() => {
    window.addEventListener('afterprint', onDone);
    const timer = setTimeout(() => window.print(), 50);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('afterprint', onDone);
    };
  }, [onDone]);
  return createPortal(
    <div id="print-sheets">
      <style>{`
        @page { size: ${sheet}; margin: 12mm; }
        @media screen { #print-sheets { display: none; } }
        @media print {
          body > *:not(#print-sheets) { display: none !important; }
          #print-sheets { display: block; background: white; print-color-adjust: exact; }
          ${css}
        }
      `}</style>
      {children}
    </div>,
    document.body,
  );
}
