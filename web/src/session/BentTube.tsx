/** A stub ninety on drafting film, with its two legs and its ring. */
export function BentTube() {
  return (
    <svg
      viewBox="0 0 800 760"
      className="h-full w-full max-lg:hidden"
      preserveAspectRatio="xMidYMid slice"
      aria-hidden="true"
    >
      <pattern id="sheet" width="40" height="40" patternUnits="userSpaceOnUse">
        <path d="M40 0H0V40" fill="none" stroke="var(--grid)" className="line-thin" />
      </pattern>
      <rect width="800" height="760" fill="url(#sheet)" />
      <g fill="none">
        <path d="M250 90V400a150 150 0 0 0 150 150H700" stroke="var(--steel-edge)" strokeWidth="64" />
        <path d="M250 90V400a150 150 0 0 0 150 150H700" stroke="var(--steel-fill)" strokeWidth="60" />
        <path d="M261 90V400a139 139 0 0 0 139 139H700" stroke="var(--steel-sheen)" strokeWidth="15" opacity=".75" />
        <path
          d="M250 90V400a150 150 0 0 0 150 150H700"
          stroke="var(--steel-edge)"
          strokeDasharray="16 4 3 4"
          className="line-thin"
        />
        <path d="M208 372H292" stroke="var(--color-base-content)" className="line-bold" />
        <path d="M150 90V582M132 98l18-16M132 590l18-16" stroke="var(--line)" className="line-medium" />
        <path d="M218 640H700M210 648l16-16M692 648l16-16" stroke="var(--line)" className="line-medium" />
        <path d="M60 582H800" stroke="var(--line)" className="line-medium" />
        <path d="M300 372L420 330" stroke="var(--line)" className="line-thin" />
      </g>
      <g
        className="figures"
        fill="var(--color-base-content)"
        fontSize="40"
        textAnchor="middle"
        stroke="var(--halo)"
        strokeWidth="8"
        paintOrder="stroke"
      >
        <text x="150" y="345">
          17 <tspan className="fraction">5/8</tspan>
        </text>
        <text x="460" y="655">
          22
        </text>
        <text x="470" y="340" fill="var(--asked)">
          11 <tspan className="fraction">5/8</tspan>
        </text>
        <text x="480" y="440">
          90°
        </text>
      </g>
    </svg>
  );
}
