import { useEffect, useRef, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** What is drawn on a canvas. */
interface OnCanvas {
  resize(width: number, height: number, pixelRatio: number): void;
  dispose(): void;
}

/** More dots than this to a pixel of the page nobody sees. */
const MOST_DOTS = 3;

/**
 * A drawing on a canvas, as large as what it lies in, from when it stands until it is taken away. `failed` where the browser offers no 3D
 * graphics: then there is no scene, and the screen says so.
 */
export function useScene<S extends OnCanvas>(Scene: new (canvas: HTMLCanvasElement) => S) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<S | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    try {
      scene.current = new Scene(canvas.current!);
    } catch {
      setFailed(true);
      return;
    }
    return () => {
      scene.current?.dispose();
      scene.current = null;
    };
  }, [Scene]);
  useEffect(() => {
    if (size.width > 0) {
      scene.current?.resize(size.width, size.height, Math.min(window.devicePixelRatio, MOST_DOTS));
    }
  }, [size]);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
    setSize({ width: Math.round(layout.width), height: Math.round(layout.height) });
  return { canvas, scene, size, failed, onLayout };
}
