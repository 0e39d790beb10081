/**
 * The page for when there is no page: the database is away, or something of ours broke. Whole in itself, since nothing else can be
 * counted on now; it looks whether things are well again and comes back by itself.
 */
export interface Trouble {
  readonly title: string;
  readonly words: string;
  /** Looks again by itself. */
  readonly looksAgain: boolean;
}

export const TROUBLE = {
  database: {
    title: 'The database is away',
    words:
      'Your formulas and bakes are safe, but the database does not answer just now. This page looks again every two seconds and comes back by itself. What you type or tap on pages that are open stays on this device until then.',
    looksAgain: true,
  },
  full: {
    title: 'The disk is full',
    words:
      'Nothing more can be saved until there is room on the machine that serves this kitchen. What was saved is safe. This page comes back by itself.',
    looksAgain: true,
  },
  ours: {
    title: 'Something broke at our end',
    words:
      'This page could not be made. Nothing was changed or lost. The reason stands in the log of ./crumb start.',
    looksAgain: false,
  },
} as const satisfies Record<string, Trouble>;

const STYLE = `
:root{--paper:#eef1ec;--surface:#fcfdfb;--ink:#1a2226;--soft:#465257;--edge:#7b8782;color-scheme:light}
[data-light=dim]{--paper:#12100d;--surface:#1c1814;--ink:#eadfca;--soft:#bcae95;--edge:#8d7f6a;color-scheme:dark}
body{margin:0;background:var(--paper);color:var(--ink);font:18px/1.5 'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible',system-ui,sans-serif}
header{padding:14px 20px;border-bottom:1px solid var(--edge);font-weight:700}
header b{background:var(--ink);color:var(--surface);padding:0 6px;margin-left:4px}
main{max-width:36rem;margin:40px auto;padding:24px 28px;background:var(--surface);border:1px solid var(--edge);border-top:4px solid var(--ink)}
h1{font-size:30px;line-height:1.15;margin:0 0 12px}p{margin:0 0 16px;color:var(--soft)}
a{display:inline-block;background:var(--ink);color:var(--surface);padding:12px 18px;border-radius:6px;text-decoration:none;font-weight:700}
a:focus-visible{outline:3px solid var(--ink);outline-offset:3px}`;

const LOOK_AGAIN = `
const look=()=>fetch('/api/health',{cache:'no-store'}).then((answer)=>{if(answer.ok)location.reload();else setTimeout(look,2000)},()=>setTimeout(look,2000));
setTimeout(look,2000);`;

/** @param light as the reader's cookie has it */
export function troublePage(
  { title, words, looksAgain }: Trouble,
  nonce: string,
  light: 'day' | 'dim',
): string {
  return `<!doctype html><html lang="en" data-light="${light}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${title} · Honest Crumb</title><style>${STYLE}</style></head><body><header>Honest<b>Crumb</b></header><main role="alert"><h1>${title}</h1><p>${words}</p><a href="">Look again now</a></main>${looksAgain ? `<script nonce="${nonce}">${LOOK_AGAIN}</script>` : ''}</body></html>`;
}
