import { useState } from 'react';
import { View as Box } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';

interface HandleProps {
  name: string;
  x: number;
  y: number;
  /** moved to a point of the drawing, in px; `first` until the drag has changed something. Returns whether it did. */
  onDrag: (x: number, y: number, first: boolean) => boolean;
  onKey: (key: 'up' | 'down' | 'left' | 'right') => void;
  onTap: () => void;
  /** let go after a drag */
  onDrop?: () => void;
}

const reach = 56;
const keys: Record<string, 'up' | 'down' | 'left' | 'right'> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
};

/** What the thumb or the arrow keys take hold of to move something. The thing itself is drawn below it. */
export function Handle({ name, x, y, onDrag, onKey, onTap, onDrop }: HandleProps) {
  // Where the drag began; the thing itself jumps from hole to hole under the thumb.
  const [from, setFrom] = useState<{ x: number; y: number } | null>(null);
  const [moved, setMoved] = useState(false);
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(2)
    .onStart(() => {
      setFrom({ x, y });
      setMoved(false);
    })
    .onUpdate((event) => {
      const began = from ?? { x, y };
      if (onDrag(began.x + event.translationX, began.y + event.translationY, !moved)) setMoved(true);
    })
    .onEnd(() => onDrop?.())
    .onFinalize(() => setFrom(null));
  const keyboard = {
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      const key = keys[event.key];
      if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        onTap();
      }
      if (!key) return;
      event.preventDefault();
      onKey(key);
    },
  };
  return (
    <GestureDetector gesture={Gesture.Exclusive(drag, Gesture.Tap().runOnJS(true).onEnd(onTap))}>
      <Box
        role="button"
        tabIndex={0}
        aria-label={name}
        {...(keyboard as object)}
        style={{
          position: 'absolute',
          left: x - reach / 2,
          top: y - reach / 2,
          width: reach,
          height: reach,
          borderRadius: reach / 2,
        }}
      />
    </GestureDetector>
  );
}
