import { t } from '../../core/words/language';
import { decodeQR } from 'qr/decode.js';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { View } from '@tamagui/core';
import { Notice } from '../../ui/Notice';
import { Quiet } from '../../ui/text';

/** A look at the picture every so often: a code is shown for a good second. */
const lookMs = 160;
/** Pixels across of what is looked through: enough for a code held near, and quick on a small phone. */
const lookPx = 720;

type Trouble = 'none' | 'refused' | null;

const troubleWords = {
  none: t`this browser gives no camera here: it does so only on a secure address, and where there is one. Ask for the file, or paste what you were sent.`,
  refused: t`the camera was not allowed. Allow it for this page in the browser’s settings, or paste what you were sent.`,
} as const;

/** The text of a code in a picture; null where none is seen. */
function codeIn(picture: ImageData): string | null {
  try {
    return decodeQR(picture);
  } catch {
    // Most pictures show no code, or not all of it.
    return null;
  }
}

/** Looks through the pictures of a camera until it is stopped. */
function watch(video: HTMLVideoElement, onCode: (text: string) => void): () => void {
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('2d', { willReadFrequently: true });
  const look = () => {
    const { videoWidth, videoHeight } = video;
    if (!context || videoWidth === 0) return;
    const scale = Math.min(1, lookPx / videoWidth);
    canvas.width = Math.round(videoWidth * scale);
    canvas.height = Math.round(videoHeight * scale);
    context.drawImage(video, 0, 0, canvas.width, canvas.height);
    const text = codeIn(context.getImageData(0, 0, canvas.width, canvas.height));
    if (text !== null) onCode(text);
  };
  const timer = setInterval(look, lookMs);
  return () => clearInterval(timer);
}

/** What the camera at the back sees, and every code in it. */
export function CameraView({ onCode }: { onCode: (text: string) => void }) {
  const video = useRef<HTMLVideoElement | null>(null);
  const [trouble, setTrouble] = useState<Trouble>(null);
  const seen = useEffectEvent(onCode);
  useEffect(() => {
    let stop = () => {};
    let isGone = false;
    const begin = async () => {
      if (!('mediaDevices' in navigator)) throw new DOMException('', 'NotFoundError');
      const stream = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment' },
        audio: false,
      });
      const end = () => stream.getTracks().forEach((track) => track.stop());
      const shown = video.current;
      if (isGone || !shown) {
        end();
        return;
      }
      shown.srcObject = stream;
      await shown.play();
      const rest = watch(shown, (text) => seen(text));
      stop = () => {
        rest();
        end();
      };
      if (isGone) stop();
    };
    begin().catch((reason: unknown) => {
      const isRefused = reason instanceof DOMException && reason.name === 'NotAllowedError';
      if (!isGone) setTrouble(isRefused ? 'refused' : 'none');
    });
    return () => {
      isGone = true;
      stop();
    };
  }, []);
  if (trouble)
    return (
      <Notice tone="look" live>
        {troubleWords[trouble]}
      </Notice>
    );
  return (
    <View gap="$1">
      <video
        ref={video}
        muted
        playsInline
        aria-label={t`What the camera sees`}
        style={{ width: '100%', maxWidth: 480, aspectRatio: '1', objectFit: 'cover', borderRadius: 12 }}
      />
      <Quiet>{t`The picture is looked at on this phone and is kept nowhere.`}</Quiet>
    </View>
  );
}
