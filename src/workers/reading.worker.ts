import { readText } from '@/core/formats/readText';
import { sparingBook } from '@/core/ingredients';
import type { ReadingAnswer, ReadingQuestion } from './readingProtocol';

/** Ids for lines and steps while a text is being read: the same text gives the same ids, so that answers stay with their lines. */
function counter(): () => string {
  let next = 0;
  return () => `r${(next += 1)}`;
}

/** Reads one text; a thread of its own, so that no text can hold up the page, and what takes too long can be ended. */
addEventListener('message', ({ data }: MessageEvent<ReadingQuestion>) => {
  const { book } = sparingBook(data.stored);
  const answer: ReadingAnswer = {
    kind: 'read',
    id: data.id,
    read: readText(data.text, book, data.system, counter(), {
      declared: new Map(data.declared),
      own: data.own,
    }),
  };
  postMessage(answer);
});
postMessage({ kind: 'hears' } satisfies ReadingAnswer);
