import { pageSize, placeText, type Page } from './page';

/** A page as it is shown and printed: one SVG, its units millimetres. */
export function PageSvg({ page, className }: { readonly page: Page; readonly className?: string }) {
  const { widthMm, heightMm } = pageSize(page);
  return (
    <svg
      role="img"
      aria-label={page.title}
      className={className}
      width={`${widthMm}mm`}
      height={`${heightMm}mm`}
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      data-testid="page"
    >
      <rect width={widthMm} height={heightMm} fill="#ffffff" />
      {page.marks.map((mark, i) =>
        mark.mark === 'path' ? (
          <path
            key={i}
            d={mark.d}
            transform={placeText(mark)}
            fill={mark.fill ?? 'none'}
            stroke={mark.stroke ?? 'none'}
            strokeWidth={mark.strokeMm}
            opacity={mark.opacity}
            strokeLinejoin="round"
          />
        ) : (
          <text
            key={i}
            x={mark.xMm}
            y={mark.yMm}
            fontSize={mark.sizeMm}
            fontWeight={mark.weight === 'bold' ? 700 : 400}
            textAnchor={mark.anchor}
            fill={mark.colour}
          >
            {mark.text}
          </text>
        ),
      )}
    </svg>
  );
}
