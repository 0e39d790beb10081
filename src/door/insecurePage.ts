import { plainPage } from './plainPage';

/** Said to whoever comes from the network without a secure connection: what is missing, why, and how to get it. */
export const insecurePage = (home: string, fingerprint: string, nonce: string): string =>
  plainPage(
    {
      title: 'This connection is not secure',
      words:
        'Anybody in the network could read along and write in your kitchen, and without a secure connection a browser does not let the bench work offline, ring in the background or keep the screen on. So nothing of the kitchen is shown here.',
      more: `<ol><li><p>Once on this device: <b><a href="/honest-crumb.crt">fetch the certificate</a></b> of the machine that serves the kitchen and let this device trust it (in its settings, under certificates). Trust it only if its SHA-256 fingerprint is the one that the equipment page on that machine shows:<br><small style="word-break:break-all">${fingerprint}</small></p></li><li><p>Then open <b>${home}</b> and type the code that the equipment page on that machine gives you.</p></li></ol>`,
      again: 'Look again',
    },
    nonce,
    'day',
  );
