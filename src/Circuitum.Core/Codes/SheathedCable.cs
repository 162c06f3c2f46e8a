using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>A size in which nonmetallic-sheathed cable is made.</summary>
/// <param name="Size">Of its insulated conductors.</param>
/// <param name="Ground">Of the bare ground that is in it.</param>
/// <param name="WideIn">About what the jacket of a two-wire one measures across the wide side, in inches.</param>
public sealed record SheathedCable(WireSize Size, WireSize Ground, double WideIn);
