using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Circuitum.Storage.Migrations
{
    /// <inheritdoc />
    public partial class Nudges : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Nudge", table: "Revisions", type: "TEXT", maxLength: 120, nullable: true);

            migrationBuilder.AddColumn<DateTime>(name: "Deleted", table: "Jobs", type: "TEXT", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "Nudge", table: "Revisions");

            migrationBuilder.DropColumn(name: "Deleted", table: "Jobs");
        }
    }
}
