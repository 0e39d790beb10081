/**
 * A thread whose files did not arrive is told to whoever asked it (`onerror`), and is no fault of the page; what breaks inside
 * a thread still is.
 */
export function answersFor(worker: Worker): Worker {
  worker.addEventListener('error', (event) => {
    if (!event.message || /importScripts/.test(event.message)) event.preventDefault();
  });
  return worker;
}
