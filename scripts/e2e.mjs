import { build, install, installChromium, run } from './setup.mjs';

install();
installChromium();
build();
run('npx', ['playwright', 'test', ...process.argv.slice(2)]);
