/** The guide’s pages as they lie in `docs/guide`, and the pictures they show. */
const texts = import.meta.glob<string>('../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true
});
const pictures = import.meta.glob<string>('../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true
});

/** One page: its address, its title, and its text in Markdown with pictures where the application serves them. */
export interface GuidePage {
  slug: string;
  title: string;
  markdown: string;
}

const pictureAt = (name: string): string =>
  Object.entries(pictures).find(([path]) => path.endsWith(`/${name}`))?.[1] ?? '';

/** Every page, in order. */
export const GUIDE: readonly GuidePage[] = Object.entries(texts)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([path, text]) => ({
    slug: path.replace(/^.*\/\d+-|\.md$/g, ''),
    title: /^# (.+)$/m.exec(text)?.[1] ?? '',
    markdown: text.replace(/\.\.\/screenshots\/([a-z-]+\.png)/g, (_, name: string) => pictureAt(name))
  }));
