import type { Book } from '../history/book.ts';
import type { Component } from './components.ts';

/** Whether what was decided about a place has been done to the part that sits there. */
export function workDone(book: Book, c: Component): boolean {
  const mine = book.stand(book.file.partEvents).filter((e) => e.jobId === book.file.job.id && e.partId === c.part?.id);
  switch (c.decision?.option) {
    case 'replace':
      return c.fittedHere;
    case 'machine':
      return mine.some((e) => e.kind === 'machined');
    case 'reseal':
      return mine.some((e) => e.kind === 'resealed');
    default:
      return true;
  }
}
