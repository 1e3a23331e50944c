import { basename } from 'node:path';
import { contentsOf, copiesOf } from '$lib/server/database';
import { isLoopback } from '../../../lib/server/access';
import { store } from '$lib/server/store';

export const load = async () => {
  const opened = await store();
  return {
    contents: await contentsOf(opened),
    file: opened.file === undefined ? undefined : basename(opened.file),
    copies: copiesOf(opened.file).slice(0, 12),
    signsIn: !isLoopback(process.env.HOST ?? '127.0.0.1')
  };
};
