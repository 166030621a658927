import ArrowDown from 'lucide-react-native/dist/esm/icons/arrow-down';
import ArrowDownLeft from 'lucide-react-native/dist/esm/icons/arrow-down-left';
import ArrowUp from 'lucide-react-native/dist/esm/icons/arrow-up';
import ArrowUpRight from 'lucide-react-native/dist/esm/icons/arrow-up-right';
import ChevronLeft from 'lucide-react-native/dist/esm/icons/chevron-left';
import ChevronRight from 'lucide-react-native/dist/esm/icons/chevron-right';
import Download from 'lucide-react-native/dist/esm/icons/download';
import Droop from 'lucide-react-native/dist/esm/icons/corner-right-down';
import Ellipsis from 'lucide-react-native/dist/esm/icons/ellipsis';
import FoldHorizontal from 'lucide-react-native/dist/esm/icons/fold-horizontal';
import Minus from 'lucide-react-native/dist/esm/icons/minus';
import Plus from 'lucide-react-native/dist/esm/icons/plus';
import Printer from 'lucide-react-native/dist/esm/icons/printer';
import Raise from 'lucide-react-native/dist/esm/icons/corner-right-up';
import Redo from 'lucide-react-native/dist/esm/icons/redo-2';
import RotateLeft from 'lucide-react-native/dist/esm/icons/rotate-ccw';
import RotateRight from 'lucide-react-native/dist/esm/icons/rotate-cw';
import Ruler from 'lucide-react-native/dist/esm/icons/ruler';
import Scissors from 'lucide-react-native/dist/esm/icons/scissors';
import Undo from 'lucide-react-native/dist/esm/icons/undo-2';
import UnfoldHorizontal from 'lucide-react-native/dist/esm/icons/unfold-horizontal';
import type { ColorValue } from 'react-native';
import { useTheme } from '@tamagui/core';

const icons = {
  up: ArrowUp,
  down: ArrowDown,
  back: ChevronLeft,
  next: ChevronRight,
  download: Download,
  more: Ellipsis,
  closer: FoldHorizontal,
  wider: UnfoldHorizontal,
  minus: Minus,
  plus: Plus,
  print: Printer,
  undo: Undo,
  redo: Redo,
  cut: Scissors,
  tape: Ruler,
  'turn-left': RotateLeft,
  'turn-right': RotateRight,
  droop: Droop,
  raise: Raise,
  'to-you': ArrowDownLeft,
  'from-you': ArrowUpRight,
};

/** A sign beside or instead of a word; the control it stands on carries the name. */
export function Icon({
  name,
  size = 22,
  color,
}: {
  name: keyof typeof icons;
  size?: number;
  color?: ColorValue;
}) {
  const theme = useTheme();
  const Drawn = icons[name];
  return <Drawn size={size} color={String(color ?? theme.color.val)} aria-hidden />;
}
