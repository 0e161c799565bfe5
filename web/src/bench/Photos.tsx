import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { useCaseCalls, useChange } from '../api/change';
import { Problem, type View } from '../api/client';

const address = (view: View, id: string) => `/api/v1/cases/${view.id}/photos/${id}`;

/** The grower's own pictures, beside the drawing. They are drawn anew at the desk: no place or time of taking is kept. */
export function Photos({ view }: { view: View }) {
  const change = useChange(view.id);
  const calls = useCaseCalls(view.id);
  const [open, setOpen] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const send = (files: FileList | null | undefined) => {
    for (const f of files ?? []) change.mutate(calls.photo(f));
  };
  const shown = view.photos.find((p) => p.id === open);
  const problem = change.error instanceof Problem ? change.error : null;
  return (
    <>
      {shown && (
        <figure className="photo" data-photo={shown.id}>
          <img src={address(view, shown.id)} alt={`${shown.name}, sent by the grower`} />
          <figcaption>
            <small>
              {shown.name} · {shown.by}
            </small>
            <button
              type="button"
              className="plain"
              onClick={() => {
                change.mutate(calls.dropPhoto(shown.id));
                setOpen(null);
              }}
            >
              take away
            </button>
            <Link to={`/scope/picture?case=${view.id}&photo=${shown.id}`} data-ruler>
              measure
            </Link>
            <button type="button" className="plain" onClick={() => setOpen(null)}>
              close
            </button>
          </figcaption>
        </figure>
      )}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping a file is a convenience; the button does the same */}
      <div
        className={over ? 'photos over' : 'photos'}
        onDragOver={(e) => {
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(e) => {
          e.preventDefault();
          setOver(false);
          send(e.dataTransfer.files);
        }}
      >
        {view.photos.map((p) => (
          <button
            type="button"
            key={p.id}
            aria-pressed={p.id === open}
            aria-label={`Picture ${p.name}`}
            data-thumb={p.id}
            onClick={() => setOpen(p.id === open ? null : p.id)}
          >
            <img src={address(view, p.id)} alt="" loading="lazy" />
          </button>
        ))}
        <button type="button" className="add" onClick={() => file.current?.click()} data-add-photo>
          {change.isPending ? 'sending…' : 'Add a picture'}
        </button>
        <input
          ref={file}
          type="file"
          name="photo"
          aria-label="Picture file"
          accept="image/jpeg,image/png,image/webp"
          hidden
          multiple
          onChange={(e) => {
            send(e.target.files);
            e.target.value = '';
          }}
        />
        {view.photos.length === 0 && <small>JPEG, PNG or WebP, up to 10 MB; its place data is dropped</small>}
      </div>
      {problem && (
        <small role="alert" style={{ color: 'var(--brick)', padding: '0 12px 6px' }}>
          {problem.field('photo') ?? problem.message}
        </small>
      )}
    </>
  );
}
