namespace Circuitum.Core.Circuits;

// Putting loose things on circuits.
internal sealed partial class GroupSearch
{
    private List<int> TakeOut(GroupPlan plan, int[] movable)
    {
        var loose = new List<int>();
        var centre = movable[Random() % (uint)movable.Length];
        switch (Random() % 6)
        {
            case 0:
                AddCircuit(plan.Of(centre));
                break;
            case 1:
                foreach (var t in movable.Where(t => problem.Room[t] == problem.Room[centre]))
                    loose.Add(t);
                break;
            case 2:
                // Two circuits side by side are divided anew.
                AddCircuit(plan.Of(centre));
                var other = near[centre].Select(plan.Of).FirstOrDefault(c => c >= 0 && c != plan.Of(centre), -1);
                if (other >= 0)
                    AddCircuit(other);
                break;
            case 3:
                // A room and the rooms beside it.
                var rooms = near[centre].Select(t => problem.Room[t]).Distinct().Take(3).Append(problem.Room[centre]).ToHashSet();
                foreach (var t in movable.Where(t => rooms.Contains(problem.Room[t])))
                    loose.Add(t);
                break;
            default:
                var most = 2 + (int)(Random() % 9);
                loose.Add(centre);
                foreach (
                    var t in near[centre]
                        .Where(t => problem.Fixed[t] < 0 && plan.Of(t) >= 0 && !problem.Closed.Contains(plan.Of(t)))
                        .Take(most)
                )
                    loose.Add(t);
                break;
        }

        if (loose.Count > 40)
            loose.RemoveRange(40, loose.Count - 40);
        foreach (var t in loose)
            plan.Take(t);
        return loose;

        void AddCircuit(int circuit)
        {
            foreach (var t in plan.Circuits[circuit].Where(t => problem.Fixed[t] < 0 && !loose.Contains(t)).ToList())
                loose.Add(t);
        }
    }

    // Puts loose things on circuits, each where it costs least; with regret the one first whose second choice is worst. By
    // rooms, what is loose of a room goes together: a room's first outlet alone would shy from the price of a further room.
    private void Fill(GroupPlan plan, List<int> loose, bool regret, bool noise = false, bool rooms = false)
    {
        loose.Sort();
        var waiting = Blocks(loose, rooms)
            .Select(block => new Wish(
                block,
                plan.Alone(block) ?? int.MaxValue,
                Candidates(plan, block).Select(c => (c, Cost(plan, block, c, noise))).ToList()
            ))
            .ToList();
        while (waiting.Count > 0)
        {
            var next = waiting[0];
            foreach (var w in waiting)
            {
                if (regret ? w.Regret > next.Regret : w.Cost < next.Cost)
                    next = w;
            }

            var to = next.Circuit;
            if (to < 0)
                to = plan.Open();
            foreach (var t in next.Things)
                plan.Put(t, to);
            waiting.Remove(next);

            // Only the circuit that just grew looks different now.
            foreach (var w in waiting)
            {
                var isNear = near[w.Things[0]].Contains(next.Things[0]);
                if (noise || isNear || w.Knows(to))
                    w.Look(to, Cost(plan, w.Things, to, noise), isNear);
            }
        }
    }

    private IEnumerable<int[]> Blocks(List<int> loose, bool rooms) =>
        !rooms
            ? loose.Select(t => new[] { t })
            : loose
                .GroupBy(t => problem.Room[t])
                .SelectMany(g => problem.Fits(g.ToArray()) ? [g.ToArray()] : g.Chunk(Math.Max(1, problem.MostSize)).ToArray());

    private int Cost(GroupPlan plan, int[] block, int circuit, bool noise) =>
        (block.Length == 1 ? plan.Guess(block[0], circuit) : plan.Extra(block, circuit)) is { } cost
            ? cost + (noise ? (int)(Random() % 400) : 0)
            : int.MaxValue;

    // The circuits of its neighbours, and those of the job that are still empty or that it stood on.
    private List<int> Candidates(GroupPlan plan, params int[] things)
    {
        var found = new List<int>(8);
        foreach (var thing in things)
        {
            if (problem.Standing[thing] >= 0 && !found.Contains(problem.Standing[thing]))
                found.Add(problem.Standing[thing]);
            foreach (var t in near[thing])
            {
                var c = plan.Of(t);
                if (c >= 0 && !found.Contains(c))
                    found.Add(c);
            }
        }

        if (plan.Circuits.Count <= 12)
        {
            for (var c = 0; c < plan.Circuits.Count; c++)
            {
                if (plan.Circuits[c].Count > 0 && !found.Contains(c))
                    found.Add(c);
            }
        }

        for (var c = 0; c < problem.Existing; c++)
        {
            if (plan.Circuits[c].Count == 0 && !found.Contains(c))
                found.Add(c);
        }

        return found;
    }
}
