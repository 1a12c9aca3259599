import { json } from '@sveltejs/kit';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { checkSatchel, SATCHEL_MOST_BYTES } from '$lib/core/formats/satchel-file';
import { evaluate } from '$lib/core/judge/evaluation';
import { makeShelf } from '$lib/core/model/shelf';
import { answerFaults, readJsonBody } from '$lib/server/json-body';

/**
 * `POST /api/evaluate`: a satchel file, judged as the page judges it. `?plan=` names one of its plans;
 * without it the active one is judged. The file's own parts stand before the shelf that ships.
 */
export async function POST({ request, url }: { request: Request; url: URL }): Promise<Response> {
  const body = await readJsonBody(request, url.origin, SATCHEL_MOST_BYTES);
  if (!body.ok) return answerFaults(body.status, body.faults);
  const reading = checkSatchel(body.value);
  if (!reading.ok) return answerFaults(400, reading.faults);
  const { project, shelf } = reading.file;
  const planId = url.searchParams.get('plan') ?? project.activePlanId;
  const plan = project.plans.find((one) => one.id === planId);
  if (!plan)
    return answerFaults(400, [
      { field: 'plan', says: `names no plan of this file: "${planId.slice(0, 80)}"` }
    ]);
  return json(
    evaluate(
      { ...project, activePlanId: plan.id },
      plan,
      makeShelf(catalogue.items, shelf, project.ownGear)
    )
  );
}
