namespace Circuitum.Core.Jobs;

/// <summary>What a room is used for.</summary>
public enum RoomKind
{
    /// <summary>Kitchen.</summary>
    Kitchen,

    /// <summary>Dining room or breakfast room.</summary>
    Dining,

    /// <summary>Pantry.</summary>
    Pantry,

    /// <summary>Living room or parlour.</summary>
    Living,

    /// <summary>Family room.</summary>
    Family,

    /// <summary>Den, study or library.</summary>
    Den,

    /// <summary>Office or desk nook.</summary>
    Office,

    /// <summary>Bedroom.</summary>
    Bedroom,

    /// <summary>Sunroom.</summary>
    Sunroom,

    /// <summary>Recreation room.</summary>
    Recreation,

    /// <summary>Bathroom or powder room.</summary>
    Bathroom,

    /// <summary>Laundry.</summary>
    Laundry,

    /// <summary>Hallway.</summary>
    Hallway,

    /// <summary>Foyer or entry.</summary>
    Foyer,

    /// <summary>Stairs; drawn on each storey that they join.</summary>
    Stairs,

    /// <summary>Closet.</summary>
    Closet,

    /// <summary>Utility or mechanical room.</summary>
    Utility,

    /// <summary>Garage.</summary>
    Garage,

    /// <summary>Roofed porch.</summary>
    Porch,

    /// <summary>Open deck, patio or balcony.</summary>
    Deck,

    /// <summary>Unfinished basement.</summary>
    UnfinishedBasement,

    /// <summary>Finished basement room.</summary>
    FinishedBasement,

    /// <summary>A shed, workshop or other building of its own.</summary>
    AccessoryBuilding,

    /// <summary>Attic.</summary>
    Attic,

    /// <summary>Crawl space.</summary>
    CrawlSpace,

    /// <summary>The open air beside the house, drawn where something stands in it.</summary>
    Outdoors,
}
