import { error } from '@sveltejs/kit';
import { marked } from 'marked';
import { GUIDE } from '$lib/guide';

export const load = async ({ params }) => {
  const at = GUIDE.findIndex((p) => p.slug === params.page);
  const page = GUIDE[at];
  if (!page) error(404, { message: 'The guide has no such page.', mend: 'See its first page.' });
  return {
    html: await marked.parse(page.markdown),
    slug: page.slug,
    title: page.title,
    pages: GUIDE.map(({ slug, title }) => ({ slug, title })),
    next: GUIDE[at + 1]?.slug
  };
};
