using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Circuitum.Storage.Migrations
{
    /// <inheritdoc />
    public partial class Guests : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Job", table: "AspNetUsers", type: "TEXT", maxLength: 40, nullable: true);

            migrationBuilder.AddColumn<string>(name: "Link", table: "AspNetUsers", type: "TEXT", maxLength: 64, nullable: true);

            migrationBuilder.AddColumn<DateTime>(name: "Until", table: "AspNetUsers", type: "TEXT", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "Job", table: "AspNetUsers");

            migrationBuilder.DropColumn(name: "Link", table: "AspNetUsers");

            migrationBuilder.DropColumn(name: "Until", table: "AspNetUsers");
        }
    }
}
