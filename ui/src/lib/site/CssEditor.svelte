<script lang="ts">
  import { autocompletion, type CompletionContext } from '@codemirror/autocomplete';
  import { css } from '@codemirror/lang-css';
  import { linter, type Diagnostic } from '@codemirror/lint';
  import { EditorState } from '@codemirror/state';
  import { EditorView } from '@codemirror/view';
  import { basicSetup } from 'codemirror';
  import { api, ask, type Schemas } from '$lib/api/client';

  /** A style sheet as it is written: the server reads it while somebody types, and says what of it holds. */
  let {
    of,
    text,
    label,
    properties,
    height = '22rem',
    onread,
    onwritten
  }: {
    text: string;
    label: string;
    /** The site whose own it is, by its short name; empty for the theme's. */
    of: { site: string; theme: number };
    height?: string;
    /** What can be read of a theme. */
    properties: string[];
    onread: (read: Schemas['Read']) => void;
    onwritten: (text: string) => void;
  } = $props();

  const STILL_MS = 150;

  function completions(context: CompletionContext) {
    const word = context.matchBefore(/--[\w-]*/);
    return word ? { from: word.from, options: properties.map((label) => ({ label, type: 'variable' })) } : null;
  }

  async function marks(view: EditorView): Promise<Diagnostic[]> {
    const found = await ask(() => api.POST('/api/css', { body: { ...of, css: view.state.doc.toString() } }));
    // Which properties there are, the browser that shows the pages knows best.
    const strange = found.properties
      .filter((one) => !CSS.supports(one.name, 'inherit'))
      .map(({ line, column, name }) => ({
        line,
        column,
        words: `Line ${line}, column ${column}: “${name}” is no CSS property, so it counts for nothing.`
      }));
    const read = { ...found, unknown: [...strange, ...found.unknown] };
    onread(read);
    const at = (mark: Schemas['Mark'], severity: 'error' | 'warning'): Diagnostic => {
      const line = view.state.doc.line(Math.min(Math.max(mark.line, 1), view.state.doc.lines));
      const from = Math.min(line.to, line.from + Math.max(0, mark.column - 1));
      return { from, to: line.to, severity, message: mark.words };
    };
    return [...read.faults.map((mark) => at(mark, 'error')), ...[...read.unknown, ...read.strays].map((mark) => at(mark, 'warning'))];
  }

  /** In a shadow tree of its own: its styles are sheets that the page's content policy lets pass. */
  function editor(host: HTMLElement) {
    const root = host.attachShadow({ mode: 'open' });
    const view = new EditorView({
      root,
      parent: root,
      state: EditorState.create({
        doc: text,
        extensions: [
          basicSetup,
          css(),
          autocompletion({ override: [completions] }),
          linter(marks, { delay: STILL_MS }),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': label }),
          EditorView.updateListener.of((update) => {
            if (update.docChanged) onwritten(update.state.doc.toString());
          }),
          EditorView.theme({
            '&': { height, fontSize: '12px', color: 'var(--surface-field-text)', backgroundColor: 'var(--surface-field-ground)' },
            '.cm-content': { fontFamily: 'var(--face-value)', caretColor: 'var(--surface-ink)' },
            '.cm-gutters': { backgroundColor: 'var(--surface-sunk)', color: 'var(--surface-muted)', border: 'none' },
            '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'transparent' },
            '.cm-tooltip': { backgroundColor: 'var(--surface-raised)', color: 'var(--surface-ink)' },
            '.cm-tooltip-autocomplete ul li[aria-selected]': { backgroundColor: 'var(--surface-accent)', color: 'var(--surface-on-accent)' }
          })
        ]
      })
    });
    return { destroy: () => view.destroy() };
  }
</script>

<div class="border border-line" style:height use:editor></div>
