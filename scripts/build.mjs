import { build } from './setup.mjs';

build();
