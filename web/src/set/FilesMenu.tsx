import { useMutation } from '@tanstack/react-query';
import { api, type Problem, type Schemas } from '../api/client';
import { exerciseOf } from './asked';
import { fetchFile } from './files';
import type { Desk } from './useDesk';

const DRAWINGS = [
  { view: 'strip', format: 'svg', name: 'Strip, SVG' },
  { view: 'strip', format: 'dxf', name: 'Strip, DXF' },
  { view: 'elevation', format: 'svg', name: 'Elevation, SVG' },
  { view: 'elevation', format: 'dxf', name: 'Elevation, DXF' },
] as const;

/** Drawings at full size, the sheet without a name, and the bender's pocket card, as files. */
export function FilesMenu({ shed, desk }: { shed: Schemas['Shed']; desk: Desk }) {
  const { draft, request } = desk;
  const save = useMutation<unknown, Problem, () => Promise<void>>({ mutationFn: (make) => make() });
  const button = (name: string, make: () => Promise<void>, disabled: boolean) => (
    <button
      key={name}
      type="button"
      className="min-h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-left leading-tight disabled:opacity-50"
      disabled={disabled}
      onClick={() => {
        save.mutate(make);
      }}
    >
      {name}
    </button>
  );
  return (
    <details className="border-t border-base-300 pt-1">
      <summary className="cursor-pointer py-1 text-base">
        <b>Files.</b> Drawings at full size, sheet, pocket card
      </summary>
      <div className="grid grid-cols-2 gap-2">
        {DRAWINGS.map(({ view, format, name }) =>
          button(
            name,
            () =>
              fetchFile(
                api.POST('/api/calc/drawing', {
                  body: { definition: request ?? null, view, format },
                  parseAs: 'blob',
                }),
                `${view}.${format}`,
              ),
            request === undefined,
          ),
        )}
        {[false, true].map((answers) =>
          button(
            answers ? 'Sheet with answers' : 'Sheet without a name',
            () =>
              fetchFile(
                api.POST('/api/sheets/blank', {
                  body: {
                    exercise: request === undefined ? null : exerciseOf(shed, draft, request, undefined),
                    paper: 'letter',
                    answers,
                  },
                  parseAs: 'blob',
                }),
                answers ? 'sheet-answers.pdf' : 'sheet.pdf',
              ),
            request === undefined,
          ),
        )}
        {button(
          'Pocket card',
          () =>
            fetchFile(
              api.GET('/api/shed/benders/{id}/card', {
                params: { path: { id: draft.benderId } },
                parseAs: 'blob',
              }),
              'card.pdf',
            ),
          draft.benderId === '',
        )}
      </div>
      {save.error !== null && <p className="text-error">✕ {save.error.message}</p>}
    </details>
  );
}
