import { Slot } from 'radix-ui';
import type { ComponentProps } from 'react';

const looks = {
  main: 'bg-ink text-paper hover:opacity-90 border-transparent',
  plain: 'bg-sheet text-ink border-line hover:bg-wash',
  bare: 'bg-transparent text-ink border-transparent hover:bg-wash',
  danger: 'bg-transparent text-bad border-line hover:bg-wash',
} as const;

export function Button({
  look = 'plain',
  asChild = false,
  className = '',
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: keyof typeof looks; asChild?: boolean }) {
  const Tag = asChild ? Slot.Root : 'button';
  return (
    <Tag
      type={asChild ? undefined : type}
      className={`inline-flex min-h-9 items-center gap-1.5 rounded-md border px-3 py-1 text-sm font-medium disabled:cursor-not-allowed disabled:opacity-45 ${looks[look]} ${className}`}
      {...rest}
    />
  );
}
