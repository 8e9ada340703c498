import { RangeSetBuilder, type Extension } from '@codemirror/state';
import { Decoration, EditorView, ViewPlugin, WidgetType, type DecorationSet, type ViewUpdate } from '@codemirror/view';
import { readPieces, writePiece, type WordsPiece } from '@locutor/core/line';

type Special = Exclude<WordsPiece, { type: 'text' }>;

/** How a live part or a pause is shown, and what it says now; null where that is gone. */
export interface ChipWords {
  readonly labelOf: (piece: Special) => string;
  readonly sayOf: (piece: Special) => string | null;
}

/** Shows live parts and pauses as chips that the cursor passes in one step. */
export function chips(words: ChipWords): Extension {
  const plugin = ViewPlugin.fromClass(
    class {
      decorations: DecorationSet;

      constructor(view: EditorView) {
        this.decorations = chipsIn(view.state.doc.toString(), words);
      }

      update(update: ViewUpdate): void {
        if (update.docChanged) this.decorations = chipsIn(update.state.doc.toString(), words);
      }
    },
    {
      decorations: ({ decorations }) => decorations,
      provide: (of) => EditorView.atomicRanges.of((view) => view.plugin(of)?.decorations ?? Decoration.none),
    },
  );
  return plugin;
}

function chipsIn(text: string, words: ChipWords): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>();
  let at = 0;
  for (const piece of readPieces(text)) {
    if (piece.type === 'text') {
      at += piece.text.length;
      continue;
    }
    // A chip may have been typed otherwise than it would be written, such as a pause of 1.0 s.
    const length = text.indexOf('}', at) + 1 - at;
    const widget = new Chip(writePiece(piece), piece.type, words.labelOf(piece), words.sayOf(piece));
    builder.add(at, at + length, Decoration.replace({ widget }));
    at += length;
  }
  return builder.finish();
}

class Chip extends WidgetType {
  constructor(
    readonly written: string,
    readonly kind: string,
    readonly label: string,
    readonly says: string | null,
  ) {
    super();
  }

  override eq(other: Chip): boolean {
    return this.written === other.written && this.label === other.label && this.says === other.says;
  }

  override toDOM(): HTMLElement {
    const chip = document.createElement('span');
    chip.className = 'chip';
    chip.dataset.kind = this.kind;
    chip.textContent = this.label;
    if (this.says === null) chip.dataset.missing = '';
    chip.title = this.says === null ? 'This is gone; nothing is said here.' : this.says && `Says now: ${this.says}`;
    return chip;
  }

  override ignoreEvent(): boolean {
    return false;
  }
}
