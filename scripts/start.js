// npm start: the maker's own database, made empty the first time. KIRAPEN_DB chooses where it lies.
import { join } from 'node:path';
import { build, install, ROOT, serve } from './lib/shell.js';

install();
build();
serve({ KIRAPEN_DB: process.env.KIRAPEN_DB ?? join(ROOT, 'data/kirapen.db') });
