using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Codes;

/// <summary>An appliance that a room of a kind usually has.</summary>
/// <param name="Room">The kind of room.</param>
/// <param name="Piece">What it is there for.</param>
/// <param name="Type">The appliance.</param>
public sealed record FurniturePiece(RoomKind Room, PieceUse Piece, string Type)
{
    /// <summary>Other appliances that do the same work; a room that has one of them needs no more.</summary>
    public ImmutableArray<string> Instead { get; init; } = [];

    /// <summary>Whether an appliance does its work.</summary>
    public bool IsDoneBy(string type) => type == Type || Instead.Contains(type);
}
