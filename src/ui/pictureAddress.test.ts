import type { Picture } from '../core/shape/picture';
import { pictureAddress } from './pictureAddress';

const picture: Picture = {
  ground: [{ d: 'M0 0L9 0L9 9Z', colour: '#aa7744' }],
  fabric: [{ d: 'M1 1L2 2', colour: '#123a36' }],
  stroke: 2,
  on: [
    { kind: 'dot', x: 5, y: 6, radius: 2, colour: '#000000', edge: '#ffffff' },
    { kind: 'stroke', d: 'M3 3L4 4', colour: '#111111', width: 1 },
    { kind: 'patch', d: 'M5 5L6 6Z', colour: '#cc2200' },
  ],
};
const markup = (of: Picture | null) =>
  new DOMParser().parseFromString(
    decodeURIComponent(pictureAddress(of).replace('data:image/svg+xml,', '')),
    'image/svg+xml',
  );

test('a picture is one well-formed image, with all that is drawn', () => {
  const image = markup(picture);
  expect(image.querySelector('parsererror')).toBeNull();
  // Ground and its shade; the dark yarn's outline, its stitches twice and their shade; the thread and the patch.
  expect(image.querySelectorAll('path')).toHaveLength(2 + 4 + 2);
  expect(image.querySelector('circle')!.getAttribute('stroke')).toBe('#ffffff');
});

test('it is written once, and an empty mat where nothing is worked', () => {
  expect(pictureAddress(picture)).toBe(pictureAddress(picture));
  expect(markup(null).querySelectorAll('path')).toHaveLength(0);
  expect(markup(null).querySelectorAll('rect')).toHaveLength(1);
});
