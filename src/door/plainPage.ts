const STYLE = `
:root{--paper:#eef1ec;--surface:#fcfdfb;--ink:#1a2226;--soft:#465257;--edge:#7b8782;color-scheme:light}
[data-light=dim]{--paper:#12100d;--surface:#1c1814;--ink:#eadfca;--soft:#bcae95;--edge:#8d7f6a;color-scheme:dark}
body{margin:0;background:var(--paper);color:var(--ink);font:18px/1.5 'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible',system-ui,sans-serif}
header{padding:14px 20px;border-bottom:1px solid var(--edge);font-weight:700}
header b{background:var(--ink);color:var(--surface);padding:0 6px;margin-left:4px}
main{max-width:36rem;margin:40px auto;padding:24px 28px;background:var(--surface);border:1px solid var(--edge);border-top:4px solid var(--ink)}
h1{font-size:30px;line-height:1.15;margin:0 0 12px}p{margin:0 0 16px;color:var(--soft)}
main>a,li>a{display:inline-block;background:var(--ink);color:var(--surface);padding:12px 18px;border-radius:6px;text-decoration:none;font-weight:700}
ul{list-style:none;margin:0 0 20px;padding:0;display:grid;gap:10px}li>a{display:block;background:none;color:var(--ink);border:1px solid var(--edge);min-height:24px}
a:focus-visible{outline:3px solid var(--ink);outline-offset:3px}`;

export interface PlainPage {
  readonly title: string;
  readonly words: string;
  /** More of it, as HTML. */
  readonly more?: string;
  readonly again: string;
  readonly script?: string;
}

/** A page that is whole in itself, for when nothing else can be counted on. @param light as the reader's cookie has it */
export function plainPage({ title, words, more = '', again, script }: PlainPage, nonce: string, light: 'day' | 'dim'): string {
  return `<!doctype html><html lang="en" data-light="${light}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${title} · Honest Crumb</title><style>${STYLE}</style></head><body><header>Honest<b>Crumb</b></header><main role="alert"><h1>${title}</h1><p>${words}</p>${more}<a href="">${again}</a></main>${script ? `<script nonce="${nonce}">${script}</script>` : ''}</body></html>`;
} // prettier-ignore

/** Looks again by itself every two seconds, and comes back when all is well. */
export const LOOK_AGAIN = `
const look=()=>fetch('/api/health',{cache:'no-store'}).then((answer)=>{if(answer.ok)location.reload();else setTimeout(look,2000)},()=>setTimeout(look,2000));
setTimeout(look,2000);`;
