import { PAGE_SIZE } from '@dauer/contract';
import type { ArticleVersion } from '@dauer/core/ledger';
import { useQuery } from '@pinia/colada';
import { call } from '../../app/client.ts';

/** The whole price book, page by page. */
async function wholeBook(): Promise<ArticleVersion[]> {
  const book: ArticleVersion[] = [];
  for (;;) {
    const after = book.at(-1)?.id;
    const page = await call('articles', { query: after === undefined ? {} : { after } });
    book.push(...page);
    if (page.length < PAGE_SIZE) return book;
  }
}

/** The price book, of whoever is shown it; empty for whoever is not. */
export function useArticles(shown: boolean) {
  const articles = useQuery({ key: ['articles'], query: () => (shown ? wholeBook() : Promise.resolve<ArticleVersion[]>([])) });
  void articles.refetch();
  return articles;
}

/** The price book and whom the shop buys from. */
export function usePrices() {
  const articles = useArticles(true);
  const suppliers = useQuery({ key: ['suppliers'], query: () => call('suppliers') });
  void suppliers.refetch();
  return { articles, suppliers };
}
