/** What a page is called in the browser. */
export function titled(what: string): void {
  document.title = `${what} · Dauer`;
}
