import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    adapter: adapter({ out: 'build' }),
    alias: { $core: 'src/core', $demo: 'demo' },
    version: { pollInterval: 0 },
    // No script but the application's own files, and nothing from elsewhere. Styles are set on elements all over the
    // drawings, so inline style stays allowed.
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['none'],
        'script-src': ['self'],
        'style-src': ['self', 'unsafe-inline'],
        'img-src': ['self', 'data:', 'blob:'],
        'font-src': ['self', 'data:'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'manifest-src': ['self'],
        'form-action': ['self'],
        'base-uri': ['none'],
        'frame-ancestors': ['none']
      }
    }
  }
};
