using Circuitum.Core.Jobs;

namespace Circuitum.Storage.Archive;

/// <summary>
/// A job as it is read from an archive: its lists, looked through, and its large parts one by one as they are asked for, so that no more of
/// them than one is in memory.
/// </summary>
internal sealed record ReadJob(ArchiveHead Head, ArchiveLists Lists)
{
    internal required Job Present { get; init; }

    internal required Func<ArchiveState, string> Document { get; init; }

    internal required Func<ArchivePicture, byte[]> Picture { get; init; }

    internal required Func<ArchivePhoto, bool, byte[]> Photo { get; init; }
}
