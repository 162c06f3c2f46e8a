using System.Numerics;

namespace Circuitum.Core.Circuits;

/// <summary>A circuit that may be, for the search over all of them.</summary>
/// <param name="Units">What hangs on it, ascending.</param>
/// <param name="Cost">What it costs, in cents.</param>
internal sealed record ZoneColumn(int[] Units, long Cost);

/// <summary>
/// The linear programme over circuits that may be: each unit once, least cost, fractions allowed. Its prices say what each unit is
/// worth; no division costs less than all of them together. Solved by the revised simplex method with the whole inverse at hand,
/// which is small: a row for each unit.
/// </summary>
internal sealed class PartitionProgram
{
    private const double Tiny = 1e-9;
    private const double Enough = 1e-6;
    private const int MostSteps = 20_000;

    private readonly int rows;
    private readonly IReadOnlyList<ZoneColumn> columns;
    private readonly int[] basis;
    private readonly double[][] inverse;
    private readonly double[] value;

    private PartitionProgram(int rows, IReadOnlyList<ZoneColumn> columns)
    {
        (this.rows, this.columns) = (rows, columns);
        basis = new int[rows];
        for (var c = 0; c < columns.Count; c++)
        {
            if (columns[c].Units.Length == 1)
                basis[columns[c].Units[0]] = c;
        }

        inverse = [.. Enumerable.Range(0, rows).Select(i => Enumerable.Range(0, rows).Select(j => i == j ? 1.0 : 0.0).ToArray())];

        // Rows that ask for a little more than one each keep the method from going in circles; prices do not depend on it.
        value = [.. Enumerable.Range(0, rows).Select(i => 1 + (((i * 7919 % 1009) + 1) * 1e-5))];
    }

    /// <summary>Prices of the units, none of which together are worth more than a column costs that holds them.</summary>
    /// <param name="rows">Number of units.</param>
    /// <param name="columns">All circuits that may be, each unit alone among them.</param>
    internal static double[] Prices(int rows, IReadOnlyList<ZoneColumn> columns) => new PartitionProgram(rows, columns).Solve();

    private double[] Solve()
    {
        var price = new double[rows];
        var least = 0.0;
        for (var step = 0; step < MostSteps; step++)
        {
            Array.Clear(price);
            for (var i = 0; i < rows; i++)
            {
                AddTo(price, columns[basis[i]].Cost, inverse[i]);
            }

            var enter = -1;
            least = -Enough;
            for (var c = 0; c < columns.Count; c++)
            {
                var reduced = (double)columns[c].Cost;
                foreach (var u in columns[c].Units)
                    reduced -= price[u];
                if (reduced < least)
                    (least, enter) = (reduced, c);
            }

            if (enter < 0)
                return price;
            if (!Enter(enter))
                break;
        }

        // Stopped early: prices are lowered until no column is worth more than it costs, which keeps the bound one.
        for (var u = 0; u < rows; u++)
            price[u] += Math.Min(0, least);
        return price;
    }

    // Several numbers at a time, which changes none of them.
    private static void AddTo(double[] sum, double factor, double[] of)
    {
        var by = new Vector<double>(factor);
        var j = 0;
        for (; j <= sum.Length - Vector<double>.Count; j += Vector<double>.Count)
            (new Vector<double>(sum, j) + (by * new Vector<double>(of, j))).CopyTo(sum, j);
        for (; j < sum.Length; j++)
            sum[j] += factor * of[j];
    }

    private bool Enter(int column)
    {
        var step = new double[rows];
        for (var i = 0; i < rows; i++)
        {
            foreach (var u in columns[column].Units)
                step[i] += inverse[i][u];
        }

        var leave = -1;
        for (var i = 0; i < rows; i++)
        {
            if (step[i] > Tiny && (leave < 0 || value[i] / step[i] < value[leave] / step[leave] - 1e-12))
                leave = i;
        }

        if (leave < 0)
            return false;
        var pivot = step[leave];
        var row = inverse[leave];
        for (var j = 0; j < rows; j++)
            row[j] /= pivot;
        value[leave] /= pivot;
        for (var i = 0; i < rows; i++)
        {
            if (i == leave || Math.Abs(step[i]) <= Tiny)
                continue;
            AddTo(inverse[i], -step[i], row);
            value[i] -= step[i] * value[leave];
        }

        basis[leave] = column;
        return true;
    }
}
