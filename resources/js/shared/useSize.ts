import { useEffect, useRef, useState, type RefObject } from 'react';

/** The size of an element in CSS pixels, kept up to date. */
export function useSize(): [RefObject<HTMLDivElement | null>, { width: number; height: number }] {
    const box = useRef<HTMLDivElement>(null);
    const [size, setSize] = useState({ width: 0, height: 0 });
    useEffect(() => {
        const element = box.current;
        if (element === null) return;
        const observer = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
        observer.observe(element);
        return () => observer.disconnect();
    }, []);
    return [box, size];
}
